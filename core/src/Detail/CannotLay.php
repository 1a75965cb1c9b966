<?php

declare(strict_types=1);

namespace Apron\Detail;

/** Patches whose order contradicts itself or cannot be built: which, and what would be right. */
final class CannotLay extends \RuntimeException
{
    public function __construct(
        public readonly string $patch,
        public readonly string $found,
        public readonly string $expected,
    ) {
        parent::__construct("$patch: $found; expected $expected");
    }
}
