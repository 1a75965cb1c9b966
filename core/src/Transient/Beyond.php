<?php

declare(strict_types=1);

namespace Apron\Transient;

/** What a face of a slab meets for a while: air behind a film, air at once, or nothing. */
final readonly class Beyond
{
    private function __construct(
        public bool $isClosed,
        /** °C */
        public float $celsius,
        /** share of saturation */
        public float $humidity,
        /** W/(m²K); null: the face has the temperature of the air at once */
        public ?float $heat,
        /** s/m, kg/(m²·s) for each Pa; null: the face has the vapour of the air at once */
        public ?float $vapour,
        /** W/m² taken up at the face, of sun and less what the sky takes */
        public float $radiation = 0.0,
    ) {
    }

    public static function closed(): self
    {
        return new self(true, 0.0, 0.0, 0.0, 0.0);
    }

    public static function air(
        float $celsius,
        float $humidity,
        ?float $heat,
        ?float $vapour,
        float $radiation = 0.0,
    ): self {
        return new self(false, $celsius, $humidity, $heat, $vapour, $radiation);
    }
}
