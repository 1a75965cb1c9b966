<?php

declare(strict_types=1);

namespace Apron\Material;

/** What a material does as it gets wetter, where somebody has measured it. */
final readonly class MoistureTables
{
    public function __construct(
        /** W/(m·K) by kg/m³ */
        public ?Curve $conductivity,
        /** kg/(m·s·Pa) by % relative humidity */
        public ?Curve $permeability,
        /** s by kg/m³: flow = it · gradient of suction */
        public ?Curve $liquidConductivity,
        /** m²/s by kg/m³: flow = it · gradient of water */
        public ?Curve $diffusivity,
    ) {
    }
}
