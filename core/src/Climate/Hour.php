<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Outdoor air, rain, wind and sun of one hour. */
final readonly class Hour
{
    public function __construct(
        public float $celsius,
        /** Pa */
        public float $vapourPressure,
        /** mm in the hour, or null where it was not measured */
        public ?float $rain,
        /** m/s */
        public ?float $wind,
        /** degrees from north the wind comes from */
        public ?float $windFrom,
        /** W/m² on the flat */
        public ?float $sun,
    ) {
    }
}
