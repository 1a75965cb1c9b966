<?php

declare(strict_types=1);

namespace Apron\Json;

/** A project file that cannot be used: where (a JSON pointer), what stands there, and what would be right. */
final class FileRefused extends \RuntimeException
{
    public function __construct(
        public readonly string $pointer,
        public readonly string $value,
        public readonly string $expected,
    ) {
        parent::__construct(
            sprintf("at %s: %s\n  expected %s", $pointer === '' ? '/ (the whole file)' : $pointer, $value, $expected),
        );
    }
}
