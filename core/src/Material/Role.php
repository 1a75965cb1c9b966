<?php

declare(strict_types=1);

namespace Apron\Material;

/** What a material is there for, as far as another could stand in for it. */
enum Role: string
{
    case Board = 'board';
    case Cavity = 'cavity';
    case Sheathing = 'sheathing';
    case Sheet = 'sheet';
    case Retarder = 'retarder';
}
