<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A piece flat on the bench, mm. */
final readonly class CutSize
{
    public function __construct(public float $length, public float $width)
    {
    }

    /** @return array{length_mm: float, width_mm: float} */
    public function toArray(): array
    {
        return ['length_mm' => $this->length, 'width_mm' => $this->width];
    }
}
