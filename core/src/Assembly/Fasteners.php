<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Material\Material;

/** Metal fasteners through an insulation layer. */
final readonly class Fasteners
{
    /** α of ISO 6946:2017, F.3, for a fastener that goes right through the insulation. */
    private const ALPHA = 0.8;

    public function __construct(
        public float $perM2,
        public float $diameterMm,
        /** W/(m·K) */
        public float $conductivity,
        /** what they are made of, where that is said */
        public ?Material $material = null,
    ) {
    }

    /**
     * What the fasteners add to U, W/(m²K): ISO 6946:2017, formula (F.5),
     * ΔU = α · λf · Af · nf / d · (R₁ / R)².
     *
     * @param  float  $thicknessMm  of the layer they pass through, their length in it
     * @param  float  $layer  R₁, resistance of that layer, m²K/W
     * @param  float  $total  R of the component without any bridge, surfaces included, m²K/W
     */
    public function addedU(float $thicknessMm, float $layer, float $total): float
    {
        $area = M_PI * ($this->diameterMm / 2000) ** 2;

        return ((self::ALPHA * $this->conductivity * $area * $this->perM2) / ($thicknessMm / 1000)) *
            ($layer / $total) ** 2;
    }
}
