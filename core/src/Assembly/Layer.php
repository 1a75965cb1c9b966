<?php

namespace Apron\Assembly;

use Apron\Material\Material;
use Apron\Material\VapourClass;

final readonly class Layer
{
    /**
     * @param  list<Control>  $controls the control layers it is meant to carry
     * @param  list<Bridge>  $bridges through it
     */
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
        public array $bridges = [],
        public ?InvertedRoof $inverted = null,
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

    /** m, by the dry cup or, where it lies damp, the wet one */
    public function sd(bool $wet = false): float
    {
        return $this->material->sdOf($this->thicknessMm, $wet);
    }

    /** ng/(Pa·s·m²), dry cup */
    public function permeance(): float
    {
        return 200 / $this->sd();
    }

    public function vapourClass(): VapourClass
    {
        return VapourClass::ofPermeance($this->permeance());
    }

    /** @param  array<string, mixed>  $change  constructor arguments that differ */
    public function with(array $change): self
    {
        return new self(...[...get_object_vars($this), ...$change]);
    }
}
