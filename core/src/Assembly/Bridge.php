<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Rules\Source;

/** Something that carries heat past a layer and is known by its ψ or χ: a girt, a bracket, a shelf angle. */
final readonly class Bridge
{
    private function __construct(
        public string $name,
        /** W/(m·K), or null for a point */
        public ?float $psi,
        /** W/K, or null for a line */
        public ?float $chi,
        /** m, or number, in a square metre of wall */
        public float $perM2,
        public Source $source,
    ) {
    }

    public static function linear(string $name, float $psi, float $metresPerM2, Source $source): self
    {
        return new self($name, $psi, null, $metresPerM2, $source);
    }

    public static function point(string $name, float $chi, float $perM2, Source $source): self
    {
        return new self($name, null, $chi, $perM2, $source);
    }

    /** What it adds to U, W/(m²K): ISO 14683, ψ times length and χ times number over the area. */
    public function addedU(): float
    {
        return (float) ($this->psi ?? $this->chi) * $this->perM2;
    }
}
