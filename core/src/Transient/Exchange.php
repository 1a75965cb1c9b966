<?php

declare(strict_types=1);

namespace Apron\Transient;

/** Air of elsewhere that takes the place of what is at a node. */
final readonly class Exchange
{
    public function __construct(
        /** m³/(m²·s) */
        public float $flow,
        /** °C */
        public float $celsius,
        /** Pa */
        public float $vapourPressure,
    ) {
    }
}
