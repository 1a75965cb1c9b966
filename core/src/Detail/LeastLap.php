<?php

declare(strict_types=1);

namespace Apron\Detail;

/** The least lap of one kind or piece over another, mm. */
final readonly class LeastLap
{
    public function __construct(
        public string $outer,
        public string $inner,
        public ?float $horizontal,
        public ?float $end,
    ) {
    }
}
