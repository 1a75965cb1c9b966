<?php

declare(strict_types=1);

namespace Apron\Building;

/** A joint through a wall that lets it move; mm from the left end of its edge seen from outside. */
final readonly class Movement
{
    public function __construct(public string $id, public string $block, public int $edge, public float $x)
    {
    }
}
