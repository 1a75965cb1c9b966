<?php

declare(strict_types=1);

namespace Apron\Building;

enum PartKind: string
{
    case Wall = 'wall';
    case FoundationWall = 'foundation-wall';
    case Roof = 'roof';
    case Slab = 'slab';
    case Soffit = 'soffit';
    /** between conditioned and unconditioned, whichever is above */
    case Floor = 'floor';
    case Opening = 'opening';

    public function isUpright(): bool
    {
        return $this === self::Wall || $this === self::FoundationWall;
    }
}
