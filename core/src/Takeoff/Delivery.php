<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What comes to the site together: all that certain parts of the building take. */
final readonly class Delivery
{
    /** @param  list<string>  $parts  ids */
    public function __construct(
        public string $id,
        public string $title,
        public array $parts,
        public ?string $day = null,
    ) {
    }
}
