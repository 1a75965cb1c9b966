<?php

declare(strict_types=1);

namespace Apron\Drafting;

/** Sizes that a method cannot dress: which, with what value, and what it takes. */
final class CannotGenerate extends \DomainException
{
    public function __construct(
        public readonly string $parameter,
        public readonly float|string $value,
        public readonly string $expected,
    ) {
        parent::__construct(
            sprintf(
                '%s is %s; expected %s',
                $parameter,
                is_string($value) ? "“{$value}”" : sprintf('%g', $value),
                $expected,
            ),
        );
    }
}
