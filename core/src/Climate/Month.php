<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Mean air of one month, or of any other stretch: °C and % relative humidity. */
final readonly class Month
{
    public const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    public function __construct(
        public float $celsius,
        public float $humidity,
        /** mm in the month */
        public ?float $rain = null,
        /** m/s */
        public ?float $wind = null,
        /** W/m² on the flat, day and night */
        public ?float $sun = null,
        /** K from the day's mean to its warmest hour */
        public ?float $dailySwing = null,
        /**
         * how much more driving rain the facing that gets most of it gets than the mean of all; null where not known
         */
        public ?float $worstFacing = null,
    ) {
    }

    /** Pa */
    public function vapourPressure(): float
    {
        return ($this->humidity / 100) * Air::saturation($this->celsius);
    }
}
