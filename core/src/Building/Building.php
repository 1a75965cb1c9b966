<?php

declare(strict_types=1);

namespace Apron\Building;

/** What a person says of a building: blocks, and how high the ground stands; mm. */
final readonly class Building
{
    /**
     * @param  list<Block>  $blocks
     * @param  list<Placed>  $placed
     * @param  list<Movement>  $movement
     * @param  list<Connection>  $connections
     */
    public function __construct(
        public array $blocks,
        public float $ground = 0.0,
        public array $placed = [],
        public array $movement = [],
        public array $connections = [],
    ) {
    }

    public function block(string $id): ?Block
    {
        foreach ($this->blocks as $block) {
            if ($block->id === $id) {
                return $block;
            }
        }

        return null;
    }

    /** Where the ground meets a side of a block. */
    public function groundAt(Block $block, int $edge): float
    {
        return $block->ground[$edge] ?? $this->ground;
    }

    /** The highest ground round a block: with its base at or under it, it stands on the ground. */
    public function highestGround(Block $block): float
    {
        $highest = -INF;
        foreach ($block->outline->edges as $edge) {
            $highest = max($highest, $this->groundAt($block, $edge->index));
        }

        return $highest;
    }

    public function lowestGround(Block $block): float
    {
        $lowest = INF;
        foreach ($block->outline->edges as $edge) {
            $lowest = min($lowest, $this->groundAt($block, $edge->index));
        }

        return $lowest;
    }

    public function standsOnGround(Block $block): bool
    {
        return $block->base <= $this->highestGround($block);
    }

    /** The block that holds a place; null where none does. */
    public function blockAt(float $x, float $y, float $z): ?Block
    {
        foreach ($this->blocks as $block) {
            if ($block->holds($x, $y, $z)) {
                return $block;
            }
        }

        return null;
    }
}
