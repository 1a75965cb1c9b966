<?php

declare(strict_types=1);

namespace Apron\Detail;

/** An arris over which the water of one facet goes on to another, at a height on the latter. */
final readonly class Fold
{
    public function __construct(public string $from, public string $to, public float $atV)
    {
    }
}
