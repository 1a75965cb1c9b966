<?php

declare(strict_types=1);

namespace Apron\Building;

/** How large each part is. */
final class Areas
{
    private const MM2_PER_M2 = 1e6;

    /** @var array<string, float> mm² by id of the part */
    private array $areas = [];

    /** @var array<string, Part> */
    private array $parts = [];

    /** @var list<array{float, float}> of all outlines */
    private readonly array $corners;

    private function __construct(private readonly Surfaces $surfaces)
    {
        $this->corners = $surfaces->building->corners();
    }

    /** @return array<string, Part> by id, in the order of blocks, walls first */
    public static function of(Surfaces $surfaces): array
    {
        $areas = new self($surfaces);
        foreach ($surfaces->building->blocks as $block) {
            if ($block->isConditioned()) {
                foreach ($block->outline->edges as $edge) {
                    $areas->side($block, $edge);
                }
                $areas->flat($block, true);
                $areas->flat($block, false);
            }
        }
        $parts = [];
        foreach ($areas->parts as $id => $part) {
            $parts[$id] = $part->with($areas->areas[$id] / self::MM2_PER_M2);
        }

        return $parts;
    }

    private function add(?Part $part, float $mm2): void
    {
        if ($part !== null && $mm2 > 0) {
            $this->parts[$part->id] ??= $part;
            $this->areas[$part->id] = ($this->areas[$part->id] ?? 0.0) + $mm2;
        }
    }

    private function side(Block $block, Edge $edge): void
    {
        foreach ((new Side($this->surfaces, $block, $edge))->cells($this->corners) as $cell) {
            $this->add($cell->part, $cell->area());
        }
    }

    /**
     * @param  list<float>  $cuts
     * @return list<float> rising, within bounds, those a hair apart once
     */
    public static function sorted(array $cuts, float $from, float $to): array
    {
        sort($cuts);
        $kept = [];
        foreach ($cuts as $cut) {
            if ($cut >= $from && $cut <= $to && ($kept === [] || $cut - end($kept) > Surfaces::HAIR)) {
                $kept[] = $cut;
            }
        }

        return $kept;
    }

    /** What is left of a top or a base once what stands on it, or hangs under it, is taken out. */
    private function flat(Block $block, bool $top): void
    {
        $outline = $block->outline;
        if ($top && ! $block->roofForm->isFlat()) {
            $this->slopes($block);

            return;
        }
        $left = $outline->area();
        foreach ($this->surfaces->building->blocks as $other) {
            $meets = $top ? $other->base === $block->top : $other->top === $block->base && $other->roofForm->isFlat();
            $common = $other !== $block && $meets ? $outline->common($other->outline) : 0.0;
            if ($common <= 0) {
                continue;
            }
            $left -= $common;
            $this->add($this->over($block, $other, $top), $common);
        }
        if ($left > 1.0) {
            $this->add($this->bare($block, $top), $left);
        }
    }

    private function slopes(Block $block): void
    {
        $area = $block->outline->area() * $block->roofForm->stretch();
        foreach ($block->outline->edges as $edge) {
            [$x, $y] = $edge->at($edge->length / 2);
            [$dx, $dy] = $edge->along();
            $part = $this->surfaces->level($block, true, $x - $dy, $y + $dx);
            $isEaves = $block->roofForm->ridgeAlong === null
                ? $edge->index === $block->roofForm->lowEdge
                : $block->roofForm->rise($block->outline, $x, $y) < Surfaces::HAIR;
            if ($isEaves) {
                $this->add($part, $block->roofForm->ridgeAlong === null ? $area : $area / 2);
            }
        }
    }

    /** The part of a block that another covers: asked of a place within both. */
    private function over(Block $block, Block $other, bool $top): ?Part
    {
        [$x, $y] = Within::both($block->outline, $other->outline);

        return $this->surfaces->level($block, $top, $x, $y);
    }

    private function bare(Block $block, bool $top): ?Part
    {
        $covering = array_filter(
            $this->surfaces->building->blocks,
            fn (Block $other): bool => $other !== $block &&
                ($top ? $other->base === $block->top : $other->top === $block->base),
        );
        [$x, $y] = Within::first(
            $block->outline,
            array_values(array_map(fn (Block $other): Outline => $other->outline, $covering)),
        );

        return $this->surfaces->level($block, $top, $x, $y);
    }
}
