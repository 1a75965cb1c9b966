<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** A course or an upright joint that somebody has put elsewhere; mm as its face has them. */
final readonly class Moved
{
    public function __construct(
        public string $part,
        public string $layer,
        /** from 0, the lowest first */
        public int $course,
        /** from 0, the leftmost first; null moves the course */
        public ?int $joint,
        /** the foot of the course, or the place of the joint */
        public float $at,
    ) {
    }
}
