<?php

declare(strict_types=1);

namespace Apron\Contact;

/** One strip, pulled off the real face. */
final readonly class Pull
{
    public function __construct(
        /** the day, as it is written: 2026-05-01 */
        public string $at,
        public string $by,
        public AdhesionMode $mode,
        /** days that it had lain; null where nobody wrote it down */
        public ?float $curedDays = null,
        /** N on 25 mm of width, where it was weighed */
        public ?float $newtons = null,
        public ?string $words = null,
    ) {
    }
}
