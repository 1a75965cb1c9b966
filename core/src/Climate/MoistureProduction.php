<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Indoor air from what a household or a trade gives off and what ventilation carries away. */
final readonly class MoistureProduction implements IndoorAir
{
    /** J/(kg·K), gas constant of water vapour */
    public const VAPOUR_GAS = 461.5;

    public function __construct(
        public float $celsius,
        /** kg of water a day */
        public float $production,
        /** m³ of air */
        public float $volume,
        /** changes of it an hour */
        public float $airChanges,
    ) {
    }

    /** Steady balance, pᵢ = pₑ + G·Rᵥ·T / (n·V): ISO 13788:2012, annex A (clause from memory). */
    public function during(int $month, Month $outdoors): array
    {
        $excess =
            (($this->production / 86400) * self::VAPOUR_GAS * ($this->celsius + 273.15)) /
            (($this->airChanges / 3600) * $this->volume);

        return ['celsius' => $this->celsius, 'pressure' => $outdoors->vapourPressure() + $excess];
    }
}
