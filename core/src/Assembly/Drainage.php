<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** How the drained space behind a cladding ends, as far as somebody has said. */
final readonly class Drainage
{
    public function __construct(
        /** at its foot */
        public ?DrainEnd $base,
        /** over openings and at other things across it */
        public ?DrainEnd $heads,
    ) {
    }
}
