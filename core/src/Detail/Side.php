<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A side of a patch. */
enum Side: string
{
    case Top = 'top';
    case Bottom = 'bottom';
    case Left = 'left';
    case Right = 'right';
}
