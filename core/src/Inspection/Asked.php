<?php

declare(strict_types=1);

namespace Apron\Inspection;

/**
 * What a check asked when it was read: a reading is judged by this ever after, whatever a later release or a changed
 * detail would ask.
 */
final readonly class Asked
{
    public function __construct(
        /** the check's words as they were shown */
        public string $title,
        /** null for a look */
        public ?Bounds $bounds,
        /** as drawn, mm; null for a look */
        public ?float $drawn,
        /** of the core and its figures, and of the catalogue */
        public string $edition,
    ) {
    }

    public static function by(Check $check, string $title, string $edition): self
    {
        return new self($title, $check->bounds, $check->drawn, $edition);
    }
}
