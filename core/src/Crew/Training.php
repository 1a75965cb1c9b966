<?php

declare(strict_types=1);

namespace Apron\Crew;

/**
 * One order of the steps that somebody tried and kept, for the pre-installation meeting: what was said of it then,
 * whatever becomes of the detail.
 */
final readonly class Training
{
    /** @param  list<int>  $order  numbers of the steps as they were put */
    public function __construct(
        public string $detail,
        public string $title,
        public string $by,
        /** ISO 8601, UTC, to the second */
        public string $at,
        public array $order,
        public int $tries,
        /** how many reasons the order went against */
        public int $broken,
        /** the outcome of the rain on what it makes, or that it cannot be built */
        public string $worst,
    ) {
    }
}
