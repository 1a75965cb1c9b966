<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** A plane part beside a joint, whose loss is counted by its U and is not the joint's. */
final readonly class Flanking
{
    public function __construct(
        /** W/(m²K) */
        public float $u,
        public float $lengthMm,
    ) {
    }
}
