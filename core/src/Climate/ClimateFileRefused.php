<?php

declare(strict_types=1);

namespace Apron\Climate;

/** A weather or climate table that cannot be used: which line, what stands there, what was expected. */
final class ClimateFileRefused extends \RuntimeException
{
    public function __construct(
        public readonly int $atLine,
        public readonly string $found,
        public readonly string $expected,
    ) {
        parent::__construct("Line $atLine: $found; expected $expected.");
    }
}
