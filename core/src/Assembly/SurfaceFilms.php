<?php

declare(strict_types=1);

namespace Apron\Assembly;

/**
 * Two schools of surface resistance, m²K/W: ISO 6946:2017 table 7, and the winter films of North American practice,
 * R 0.68, 0.61 and 0.92 inside and 0.17 outside in h·ft²·°F/Btu (ASHRAE Handbook of Fundamentals, table of surface
 * film coefficients; from memory).
 */
enum SurfaceFilms: string
{
    case Iso = 'iso';
    case NorthAmerican = 'north-american';

    public function inside(HeatFlow $flow): float
    {
        return $this === self::Iso
            ? $flow->inside()
            : match ($flow) {
                HeatFlow::Horizontal => 0.1198,
                HeatFlow::Up => 0.1074,
                HeatFlow::Down => 0.162,
            };
    }

    public function outside(): float
    {
        return $this === self::Iso ? HeatFlow::OUTSIDE : 0.0299;
    }
}
