<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** Air of one temperature, as far as its rectangle goes: where it touches material, it does so through a resistance. */
final readonly class AirBeside
{
    public function __construct(
        public Rect $rect,
        /** °C */
        public float $temperature,
        /** m²K/W; 0 holds the face at the temperature of the air */
        public float $resistance,
        public bool $isInside,
    ) {
    }
}
