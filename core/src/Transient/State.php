<?php

declare(strict_types=1);

namespace Apron\Transient;

/** How warm and how damp every node of a slab is. */
final class State
{
    /**
     * @param  array<int, float>  $humidity  by node, share of saturation; above 1 water stands there
     * @param  array<int, float>  $celsius  by node
     */
    public function __construct(public array $humidity, public array $celsius)
    {
    }

    public static function even(int $nodes, float $humidity, float $celsius): self
    {
        return new self(array_fill(0, $nodes, $humidity), array_fill(0, $nodes, $celsius));
    }
}
