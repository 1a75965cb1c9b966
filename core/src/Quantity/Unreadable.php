<?php

declare(strict_types=1);

namespace Apron\Quantity;

/** What was typed cannot be read; the message says why and what would be right. */
final class Unreadable extends \InvalidArgumentException
{
    public static function because(string $typed, string $expected): self
    {
        return new self(sprintf('“%s” is not understood; write %s', $typed, $expected));
    }
}
