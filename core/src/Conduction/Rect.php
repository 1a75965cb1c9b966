<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** A rectangle of a section, mm: from x0 and y0 to x1 and y1, which are greater. */
final readonly class Rect
{
    public function __construct(public float $x0, public float $y0, public float $x1, public float $y1)
    {
    }

    public function holds(float $x, float $y): bool
    {
        return $x >= $this->x0 && $x <= $this->x1 && $y >= $this->y0 && $y <= $this->y1;
    }

    /** Whether the two have an edge of some length in common, or lie over each other. */
    public function touches(self $other): bool
    {
        $wide = min($this->x1, $other->x1) - max($this->x0, $other->x0);
        $high = min($this->y1, $other->y1) - max($this->y0, $other->y0);

        return $wide >= 0.0 && $high >= 0.0 && ($wide > 0.0 || $high > 0.0);
    }

    /** @return array{float, float, float, float} */
    public function toArray(): array
    {
        return [$this->x0, $this->y0, $this->x1, $this->y1];
    }
}
