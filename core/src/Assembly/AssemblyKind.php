<?php

declare(strict_types=1);

namespace Apron\Assembly;

enum AssemblyKind: string
{
    case Wall = 'wall';
    case Roof = 'roof';
    case Floor = 'floor';
    case Foundation = 'foundation';

    /** The direction heat leaves by, which settles the surface and air-layer resistances. */
    public function heatFlow(): HeatFlow
    {
        return match ($this) {
            self::Wall, self::Foundation => HeatFlow::Horizontal,
            self::Roof => HeatFlow::Up,
            self::Floor => HeatFlow::Down,
        };
    }
}
