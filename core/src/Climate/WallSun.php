<?php

declare(strict_types=1);

namespace Apron\Climate;

/**
 * Sun on an upright face, from what falls on the flat: the sun's place by the hour and the day (Cooper 1969), split
 * into beam and sky by how clear it is (Erbs and others 1982, from memory), the sky as bright everywhere, the ground as
 * it reflects.
 */
final readonly class WallSun
{
    private const CONSTANT = 1367.0;

    public function __construct(
        /** degrees from north that the face looks to */
        private float $facing,
        /** degrees */
        private float $latitude,
        /** share of what falls on the ground */
        private float $reflects,
    ) {
    }

    /**
     * W/m² on the face
     *
     * @param  int  $hour  of the year, 0 for the first, in solar time
     * @param  float  $flat  W/m² on the flat
     */
    public function on(int $hour, float $flat): float
    {
        if ($flat <= 0) {
            return 0.0;
        }
        $day = intdiv($hour, 24) + 1;
        $declination = deg2rad(23.45) * sin((2 * M_PI * (284 + $day)) / 365);
        $turn = deg2rad(15 * (($hour % 24) + 0.5 - 12));
        $latitude = deg2rad($this->latitude);
        $up = sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * cos($turn);
        $ground = 0.5 * $this->reflects * $flat;
        // At and below the horizon what comes is sky.
        if ($up < 0.05) {
            return 0.5 * $flat + $ground;
        }
        $extra = self::CONSTANT * (1 + 0.033 * cos((2 * M_PI * $day) / 365)) * $up;
        $sky = $flat * self::diffuse(min(1.0, $flat / $extra));
        // Of a vector to the sun: so much to the south, so much to the west.
        $south = -cos($latitude) * sin($declination) + sin($latitude) * cos($declination) * cos($turn);
        $west = cos($declination) * sin($turn);
        $facing = deg2rad($this->facing);
        $towards = -cos($facing) * $south - sin($facing) * $west;

        return ($flat - $sky) * max(0.0, $towards / $up) + 0.5 * $sky + $ground;
    }

    private static function diffuse(float $clear): float
    {
        return match (true) {
            $clear <= 0.22 => 1 - 0.09 * $clear,
            $clear <= 0.8 => 0.9511 - 0.1604 * $clear + 4.388 * $clear ** 2
                - 16.638 * $clear ** 3 + 12.336 * $clear ** 4,
            default => 0.165,
        };
    }
}
