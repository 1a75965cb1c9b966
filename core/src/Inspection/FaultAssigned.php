<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** Who mends a fault, and by when. */
final readonly class FaultAssigned
{
    public function __construct(
        public string $who,
        /** a day; null where none is set */
        public ?string $due,
    ) {
    }
}
