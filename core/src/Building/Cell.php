<?php

declare(strict_types=1);

namespace Apron\Building;

/** A piece of a side that is one part all over: mm from the left end, levels; its top may rise. */
final readonly class Cell
{
    public function __construct(
        public Part $part,
        public float $left,
        public float $right,
        public float $foot,
        public float $topLeft,
        public float $topRight,
    ) {
    }

    /** mm² */
    public function area(): float
    {
        return ($this->right - $this->left) * (($this->topLeft + $this->topRight) / 2 - $this->foot);
    }
}
