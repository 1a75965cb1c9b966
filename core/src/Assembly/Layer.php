<?php

namespace Apron\Assembly;

use Apron\Material\Material;
use Apron\Material\VapourClass;

final readonly class Layer
{
    /** @param  list<Control>  $controls the control layers it is meant to carry */
    public function __construct(
        public string $id,
        public Material $material,
        public float $thicknessMm,
        /** what was typed into the thickness field, where it was typed */
        public ?string $thicknessTyped,
        public array $controls,
        public ?Framing $framing,
        public ?AirLayer $air,
        public ?Fasteners $fasteners,
    ) {
    }

    /** How the air in it moves, or null for a layer of anything else. */
    public function airLayer(): ?AirLayer
    {
        return $this->air ?? ($this->material->isAir() ? AirLayer::Still : null);
    }

    /**
     * Resistance between its framing, m²K/W. An air layer whose material states a resistance keeps it; any other takes
     * ISO 6946's.
     */
    public function resistance(HeatFlow $flow): float
    {
        $air = $this->airLayer();
        if ($air === null) {
            return $this->material->resistanceOf($this->thicknessMm);
        }
        $still = $this->material->resistance ?? $flow->airLayer($this->thicknessMm);

        return $air === AirLayer::SlightlyVentilated ? $still / 2 : $still;
    }

    /** m */
    public function sd(): float
    {
        return $this->material->sdOf($this->thicknessMm);
    }

    /** ng/(Pa·s·m²) */
    public function permeance(): float
    {
        return 200 / $this->sd();
    }

    public function vapourClass(): VapourClass
    {
        return VapourClass::ofPermeance($this->permeance());
    }
}
