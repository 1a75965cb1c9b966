<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** The stretch of a facet that a check measures, mm. */
final readonly class Measured
{
    public function __construct(
        public string $facet,
        public float $u0,
        public float $v0,
        public float $u1,
        public float $v1,
    ) {
    }

    /** @return array{facet: string, from: array{float, float}, to: array{float, float}} */
    public function toArray(): array
    {
        return ['facet' => $this->facet, 'from' => [$this->u0, $this->v0], 'to' => [$this->u1, $this->v1]];
    }
}
