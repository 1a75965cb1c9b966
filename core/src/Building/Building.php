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
        /** the longest gap in the vapour layer that is borne; null leaves it to the usual */
        public ?float $vapourGap = null,
    ) {
        $boxes = [];
        foreach ($blocks as $i => $block) {
            $top = $block->roofForm->isFlat() ? $block->top : INF;
            $boxes[$i] = [...$block->outline->bounds, $block->base, $top];
        }
        $this->boxes = $boxes;
    }

    /** @var array<int, array{float, float, float, float, float, float}> least and most x, y and z of each block */
    private array $boxes;

    public function block(string $id): ?Block
    {
        foreach ($this->blocks as $block) {
            if ($block->id === $id) {
                return $block;
            }
        }

        return null;
    }

    /** @return list<array{float, float}> of all outlines, each once */
    public function corners(): array
    {
        $corners = [];
        foreach ($this->blocks as $block) {
            foreach ($block->outline->corners as [$x, $y]) {
                $corners["$x $y"] = [$x, $y];
            }
        }

        return array_values($corners);
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
        // Nearly every place that is asked about lies far off nearly every block.
        foreach ($this->boxes as $i => [$west, $east, $south, $north, $base, $top]) {
            if (
                $x >= $west &&
                $x <= $east &&
                $y >= $south &&
                $y <= $north &&
                $z > $base &&
                $z < $top &&
                $this->blocks[$i]->holds($x, $y, $z)
            ) {
                return $this->blocks[$i];
            }
        }

        return null;
    }
}
