<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** A place on an elevation: along the side from its left end seen from outside, and up from the foot of the part. */
final readonly class Pin
{
    public function __construct(
        /** the id of a part of the building */
        public string $part,
        /** mm */
        public float $x,
        public float $z,
    ) {
    }

    /** @return array{part: string, x_mm: float, z_mm: float} */
    public function toArray(): array
    {
        return ['part' => $this->part, 'x_mm' => $this->x, 'z_mm' => $this->z];
    }
}
