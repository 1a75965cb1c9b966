<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** A number read, or a look taken. */
final readonly class Reading
{
    public function __construct(
        /** in its unit; null for a look */
        public ?float $value,
        public ReadingUnit $unit,
        /** as it was typed */
        public ?string $typed,
        /** of a look: whether it is as it should be */
        public ?bool $holds,
        public ?string $instrument,
        /** the day its instrument was last calibrated; null where nobody has said */
        public ?string $calibrated,
        /** the reading this one corrects */
        public ?string $supersedes,
        /** null where an earlier version wrote it */
        public ?Asked $asked,
    ) {
    }
}
