<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Assembly\AssemblyKind;

/** Joints that Apron makes of an assembly. */
enum JointKind: string
{
    case Unit = 'unit';
    case Corner = 'corner';
    case InsideCorner = 'inside-corner';
    case Slab = 'slab';
    case Girt = 'girt';
    case Stud = 'stud';
    case Point = 'point';
    case Parapet = 'parapet';
    case Foot = 'foot';
    case Cellar = 'cellar';

    /** What the wall meets there; null for nothing but itself. */
    public function meets(): ?AssemblyKind
    {
        return match ($this) {
            self::Parapet => AssemblyKind::Roof,
            self::Foot, self::Cellar => AssemblyKind::Floor,
            default => null,
        };
    }
}
