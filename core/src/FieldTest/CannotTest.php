<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** Readings that make no test: what is wrong with them and what would be right. */
final class CannotTest extends \RuntimeException
{
    public function __construct(public readonly string $found, public readonly string $expected)
    {
        parent::__construct(ucfirst("$found; expected $expected."));
    }
}
