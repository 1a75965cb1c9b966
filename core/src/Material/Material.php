<?php

namespace Apron\Material;

use Apron\Climate\Air;
use Apron\Source;

/**
 * What a layer or a piece is made of. Heat: a conductivity, or a fixed resistance where thickness does not matter
 * (a thin sheet, a stated air space). Vapour: a resistance factor μ, or a fixed sd-value or permeance (a sheet, a coat).
 * Exactly one of each group is set.
 */
final readonly class Material
{
    public function __construct(
        public string $id,
        public string $name,
        public ?string $family,
        /** λ, W/(m·K) */
        public ?float $conductivity,
        /** m²K/W */
        public ?float $resistance,
        /** μ */
        public ?float $vapourResistanceFactor,
        /** sd, m of still air */
        public ?float $sd,
        /** ng/(Pa·s·m²), dry cup */
        public ?float $permeance,
        /** kg/m³ */
        public ?float $density,
        /** J/(kg·K) */
        public ?float $specificHeat,
        /** L/(s·m²) at 75 Pa */
        public ?float $airPermeance,
        /** whether its face sheds liquid water when lapped or joined as the water plane */
        public ?bool $shedsWater,
        /** what a layer of it starts at when it is added */
        public ?float $usualThicknessMm,
        public Source $source,
        /** the version of the catalogue it was copied from, or null for one's own */
        public ?string $catalogue = null,
    ) {
    }

    /** Thermal resistance of a thickness in mm, m²K/W. */
    public function resistanceOf(float $thicknessMm): float
    {
        return $this->resistance ?? $thicknessMm / 1000 / (float) $this->conductivity;
    }

    /** Vapour-diffusion-equivalent air layer thickness of a thickness in mm, m. */
    public function sdOf(float $thicknessMm): float
    {
        return $this->sd
            ?? ($this->permeance !== null ? Air::VAPOUR_PERMEABILITY * 1e12 / $this->permeance : null)
            ?? (float) $this->vapourResistanceFactor * $thicknessMm / 1000;
    }

    public function isAir(): bool
    {
        return $this->family === 'air';
    }

    public function isMetal(): bool
    {
        return $this->family === 'metal';
    }
}
