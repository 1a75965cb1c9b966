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

    /** @var array<string, array{float, float}> of all outlines */
    private readonly array $corners;

    private function __construct(private readonly Surfaces $surfaces)
    {
        $corners = [];
        foreach ($surfaces->building->blocks as $block) {
            foreach ($block->outline->corners as [$x, $y]) {
                $corners["$x $y"] = [$x, $y];
            }
        }
        $this->corners = $corners;
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
        [$us, $zs] = [$this->alongCuts($block, $edge), $this->heightCuts($block, $edge)];
        for ($i = 1; $i < count($us); $i++) {
            [$u0, $u1] = [$us[$i - 1], $us[$i]];
            $u = ($u0 + $u1) / 2;
            for ($j = 1; $j < count($zs); $j++) {
                $z = ($zs[$j - 1] + $zs[$j]) / 2;
                $this->add($this->surfaces->upright($block, $edge, $u, $z), ($u1 - $u0) * ($zs[$j] - $zs[$j - 1]));
            }
            $rise = ($this->rise($block, $edge, $u0) + $this->rise($block, $edge, $u1)) / 2;
            $under = $this->surfaces->upright($block, $edge, $u, $block->top - Surfaces::HAIR);
            $this->add($under, $rise * ($u1 - $u0));
        }
    }

    private function rise(Block $block, Edge $edge, float $u): float
    {
        [$x, $y] = $edge->at($u);

        return $block->roofForm->rise($block->outline, $x, $y);
    }

    /** @return list<float> mm from the left end, where something beside it or of it begins or ends */
    private function alongCuts(Block $block, Edge $edge): array
    {
        $cuts = [0.0, $edge->length, ...$edge->passing($this->corners)];
        foreach ($block->stretches as $stretch) {
            if ($stretch->edge === $edge->index) {
                array_push($cuts, $stretch->from, $stretch->to);
            }
        }
        if ($block->roofForm->ridgeAlong !== null) {
            $cuts[] = $edge->length / 2;
        }

        return self::sorted($cuts, 0.0, $edge->length);
    }

    /** @return list<float> levels, mm */
    private function heightCuts(Block $block, Edge $edge): array
    {
        $cuts = [$block->base, $block->top, $this->surfaces->building->groundAt($block, $edge->index)];
        foreach ($this->surfaces->building->blocks as $other) {
            array_push($cuts, $other->base, $other->top);
        }
        foreach ($block->stretches as $stretch) {
            array_push($cuts, $stretch->base ?? $block->base, $stretch->top ?? $block->top);
        }

        return self::sorted($cuts, $block->base, $block->top);
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
                : $this->rise($block, $edge, $edge->length / 2) < Surfaces::HAIR;
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
