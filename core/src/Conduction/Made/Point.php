<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** A screw or a bracket, as a round post of the same section. */
final readonly class Point
{
    public function __construct(
        public float $diameterMm = 6.0,
        /** W/(m·K) */
        public float $conductivity = 50.0,
        /** mm into what bears */
        public float $embeddedMm = 40.0,
        public float $perM2 = 5.0,
    ) {
    }
}
