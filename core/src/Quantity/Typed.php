<?php

declare(strict_types=1);

namespace Apron\Quantity;

/** A quantity as somebody typed it, and what it means in the unit of its dimension. */
final readonly class Typed
{
    public function __construct(public string $text, public Dimension $dimension, public float $value)
    {
    }
}
