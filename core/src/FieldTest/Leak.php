<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** A leak that was found while the fan ran. */
final readonly class Leak
{
    public function __construct(
        public string $words,
        /** the joint of the building that it is at, or the part; null where nobody has said */
        public ?string $joint = null,
    ) {
    }
}
