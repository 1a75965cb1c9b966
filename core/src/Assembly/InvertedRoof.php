<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** Insulation above the roof membrane: rain runs under it and carries heat away. */
final readonly class InvertedRoof
{
    public function __construct(
        /** mean rain of the heating season, mm/day */
        public float $rain,
        /** f·x, the share that reaches the membrane times what each mm of it costs, W·day/(m²K·mm) */
        public float $drainage,
    ) {
    }

    /**
     * What the rain adds to U, W/(m²K): ISO 6946:2017, F.4, ΔU = p · f·x · (R₁ / R)², with f·x = 0.04 for one layer of
     * butt-jointed board under open cover (clause and figure from memory).
     *
     * @param  float  $layer  R₁ of the insulation above the membrane, m²K/W
     * @param  float  $total  R of the roof, surfaces included, m²K/W
     */
    public function addedU(float $layer, float $total): float
    {
        return $this->rain * $this->drainage * ($layer / $total) ** 2;
    }
}
