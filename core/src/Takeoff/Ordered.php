<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** One line of an order as it was sent out. */
final readonly class Ordered
{
    public function __construct(
        public string $material,
        public string $what,
        public string $unit,
        public float $holds,
        public int $count,
    ) {
    }
}
