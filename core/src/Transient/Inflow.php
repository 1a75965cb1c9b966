<?php

declare(strict_types=1);

namespace Apron\Transient;

/** What comes to nodes from elsewhere for a while: water, or air that is exchanged there. */
final readonly class Inflow
{
    /**
     * @param  array<int, float>  $water  kg/(m²·s) by node
     * @param  array<int, list<Exchange>>  $air  by node
     */
    public function __construct(public array $water = [], public array $air = [])
    {
    }
}
