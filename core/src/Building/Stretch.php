<?php

declare(strict_types=1);

namespace Apron\Building;

/** A part of a wall that is of another assembly; mm, `from` and `to` from its left end seen from outside, levels. */
final readonly class Stretch
{
    public function __construct(
        public int $edge,
        public float $from,
        public float $to,
        public ?float $base,
        public ?float $top,
        public string $assembly,
    ) {
    }

    public function covers(int $edge, float $u, float $z): bool
    {
        return $edge === $this->edge &&
            $u > $this->from &&
            $u < $this->to &&
            $z > ($this->base ?? -INF) &&
            $z < ($this->top ?? INF);
    }
}
