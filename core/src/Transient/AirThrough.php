<?php

declare(strict_types=1);

namespace Apron\Transient;

/** Air of the room that gets as far as the outer face of a layer, and leaves there. */
final readonly class AirThrough
{
    public function __construct(
        /** L/(s·m²), as it flows and not at a test pressure */
        public float $flow,
        public int $layer,
    ) {
    }
}
