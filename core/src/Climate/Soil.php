<?php

declare(strict_types=1);

namespace Apron\Climate;

/**
 * Ground against the outer face of a wall. Its temperature follows the year's air, later and flatter with depth; its
 * pores are taken as saturated all year. Nothing dries into it.
 */
final readonly class Soil
{
    /** m²/s of moist soil: from memory, between sand and clay */
    public const DIFFUSIVITY = 7e-7;

    private const YEAR_S = 365 * 86400.0;

    public function __construct(
        /** m below grade of the place looked at */
        public float $depth,
    ) {
    }

    /**
     * Twelve months of ground at this depth: a surface that swings with the first harmonic of the air's year, carried
     * down by T(z,t) = T̄ + A·e^(−z/d)·cos(ωt − φ − z/d), d = √(2a/ω) (Kusuda and Achenbach 1965; Carslaw and Jaeger
     * 2.6).
     */
    public function months(Climate $climate): Climate
    {
        $mean = $cos = $sin = 0.0;
        foreach ($climate->months as $m => $month) {
            $mean += $month->celsius / 12;
            $cos += ($month->celsius * cos((2 * M_PI * ($m + 0.5)) / 12)) / 6;
            $sin += ($month->celsius * sin((2 * M_PI * ($m + 0.5)) / 12)) / 6;
        }
        $reach = $this->depth / sqrt((2 * self::DIFFUSIVITY) / ((2 * M_PI) / self::YEAR_S));
        $months = [];
        for ($m = 0; $m < 12; $m++) {
            $turn = (2 * M_PI * ($m + 0.5)) / 12 - $reach;
            $months[] = new Month($mean + exp(-$reach) * ($cos * cos($turn) + $sin * sin($turn)), 100.0);
        }

        return new Climate($climate->name, $months);
    }
}
