<?php

namespace Apron\Detail;

/** A rectangle on a facet, mm. On every facet the bottom edge is v0, the top v1, the left u0, the right u1. */
final readonly class Rect
{
    public function __construct(public float $u0, public float $v0, public float $u1, public float $v1)
    {
    }

    public function width(): float
    {
        return $this->u1 - $this->u0;
    }

    public function height(): float
    {
        return $this->v1 - $this->v0;
    }

    /** The stretch both cover, or null where they at most touch. */
    public function overlap(self $other): ?self
    {
        $common = new self(max($this->u0, $other->u0), max($this->v0, $other->v0), min($this->u1, $other->u1), min($this->v1, $other->v1));

        return $common->u0 < $common->u1 && $common->v0 < $common->v1 ? $common : null;
    }

    public function contains(self $other): bool
    {
        return $other->u0 >= $this->u0 && $other->v0 >= $this->v0 && $other->u1 <= $this->u1 && $other->v1 <= $this->v1;
    }

    /** @return array{float, float, float, float} */
    public function toArray(): array
    {
        return [$this->u0, $this->v0, $this->u1, $this->v1];
    }
}
