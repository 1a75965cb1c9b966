<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** Gaps in insulation as it was laid, ISO 6946:2017, F.2; without one it is laid without any (level 0). */
enum AirGaps: string
{
    /** right through it, with no air going round (level 1) */
    case Bridging = 'bridging';

    /** and air going round on its warm side (level 2) */
    case Circulating = 'circulating';

    /**
     * What the gaps add to U, W/(m²K): ISO 6946:2017, formula (F.1), ΔU = ΔU″ · (R₁ / R)², with ΔU″ 0.01 and 0.04 (from
     * memory).
     *
     * @param  float  $layer  R₁, resistance of that layer, m²K/W
     * @param  float  $total  R of the component without any bridge, surfaces included, m²K/W
     */
    public function addedU(float $layer, float $total): float
    {
        return match ($this) {
            self::Bridging => 0.01,
            self::Circulating => 0.04,
        } *
            ($layer / $total) ** 2;
    }
}
