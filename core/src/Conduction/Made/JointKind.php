<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** Joints that Apron makes of an assembly. */
enum JointKind: string
{
    case Unit = 'unit';
    case Corner = 'corner';
    case Slab = 'slab';
    case Girt = 'girt';
}
