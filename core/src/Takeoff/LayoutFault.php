<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Rules\Severity;

/** What is wrong with a layout, and where. */
final readonly class LayoutFault
{
    /** @param  array<string, float|int|string>  $figures */
    public function __construct(
        public string $code,
        public Severity $severity,
        public int $course,
        public ?float $x,
        public array $figures,
    ) {
    }
}
