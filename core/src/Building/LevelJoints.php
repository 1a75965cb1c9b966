<?php

declare(strict_types=1);

namespace Apron\Building;

/**
 * Joints that lie level: along a side of a block, at each height at which something begins or ends there, the four
 * quarters round the line are asked what they hold.
 */
final class LevelJoints
{
    /** @var list<Met> */
    private array $met = [];

    /** @var list<array{float, float, float}> places where two blocks touch along a line only */
    private array $hairs = [];

    public function __construct(private readonly Surfaces $surfaces)
    {
    }

    /**
     * @param  list<Segment>  $segments
     * @return list<Met>
     */
    public function of(array $segments): array
    {
        foreach ($segments as $segment) {
            foreach ($this->levels($segment) as $z) {
                $this->at($segment, $z);
            }
        }

        return $this->met;
    }

    /** @return list<array{float, float, float}> */
    public function hairs(): array
    {
        return $this->hairs;
    }

    /** @return list<float> */
    private function levels(Segment $segment): array
    {
        $levels = [];
        foreach ($segment->sides as [$block, $edge]) {
            $levels[] = $block->base;
            $levels[] = $block->top;
            $ground = $this->surfaces->building->groundAt($block, $edge->index);
            if ($ground > $block->base && $ground < $block->top) {
                $levels[] = $ground;
            }
            foreach ($block->stretches as $stretch) {
                if ($stretch->edge === $edge->index) {
                    array_push($levels, $stretch->base ?? $block->base, $stretch->top ?? $block->top);
                }
            }
        }

        return Areas::sorted($levels, -INF, INF);
    }

    private function at(Segment $segment, float $z): void
    {
        $hair = Surfaces::HAIR;
        $of = fn (float $off, float $by): ?Block => $this->surfaces->building->blockAt(
            ...[...$segment->middle($off), $z + $by],
        );
        // A pitched roof is joined along its slope.
        foreach ($segment->sides as [$block]) {
            if (! $block->roofForm->isFlat() && abs($block->top - $z) < $hair) {
                return;
            }
        }
        // Round the line: above on the left, above on the right, below on the right, below on the left.
        $round = [$of($hair, $hair), $of(-$hair, $hair), $of(-$hair, -$hair), $of($hair, -$hair)];
        $warm = array_map(fn (?Block $b): bool => $b?->isConditioned() === true, $round);
        $count = count(array_filter($warm));
        if ($count === 2 && $warm[0] === $warm[2]) {
            $this->hairs[] = [...$segment->middle(), $z];
        }
        foreach ($count === 3 ? [] : $this->spans($warm) as [$first, $last]) {
            $this->meet($segment, $z, $round, $first, $last);
        }
        if ($count === 3) {
            $this->hollow($segment, $z, $round, (int) array_search(false, $warm, true));
        }
    }

    /**
     * @param  list<bool>  $warm
     * @return list<array{int, int}> first and last quarter of each conditioned stretch of the four
     */
    private function spans(array $warm): array
    {
        $spans = [];
        for ($i = 0; $i < 4; $i++) {
            if ($warm[$i] && ! $warm[($i + 3) % 4]) {
                $spans[] = [$i, $warm[($i + 1) % 4] ? ($i + 1) % 4 : $i];
            }
        }

        return $spans;
    }

    /** @param  list<Block|null>  $round */
    private function meet(Segment $segment, float $z, array $round, int $first, int $last): void
    {
        if ($first === $last) {
            $this->convex($segment, $z, $round, $first);

            return;
        }
        [$a, $b] = [$this->surface($segment, $z, $round, $first, -1), $this->surface($segment, $z, $round, $last, 1)];
        if ($a === null || $b === null) {
            return;
        }
        if ($a->kind->isUpright()) {
            // One over the other: which of the two is above is the one at the quarters above.
            $aIsUp = $first === 0 || $first === 1;
            [$up, $down] = $aIsUp ? [$a, $b] : [$b, $a];
            $kind = Kinds::above($up, $down, $this->roofBelow($segment, $z, $round, $first));
            $this->add($kind, $up, $down, $segment, $z);

            return;
        }
        $this->add(Kinds::beside($a, $b), $a, $b, $segment, $z);
    }

    /**
     * Whether what stands beside the lower of two walls ends here.
     *
     * @param  list<Block|null>  $round
     */
    private function roofBelow(Segment $segment, float $z, array $round, int $first): bool
    {
        $left = $first === 0 || $first === 3;
        $beside = $round[$left ? 2 : 3];

        return $beside !== null && abs($beside->top - $z) < Surfaces::HAIR;
    }

    /**
     * One quarter conditioned: a top or a base, and its side.
     *
     * @param  list<Block|null>  $round
     */
    private function convex(Segment $segment, float $z, array $round, int $at): void
    {
        $block = $round[$at];
        if ($block === null) {
            return;
        }
        $left = $at === 0 || $at === 3;
        $top = $at > 1;
        $upright = $this->upright($segment, $z, $block, $at);
        $level = $this->surfaces->level($block, $top, ...$segment->middle($left ? Surfaces::HAIR : -Surfaces::HAIR));
        if ($upright === null || $level === null) {
            return;
        }
        // Something without heat that stands higher beside it holds the edge of its roof.
        $beyond = $round[$left ? 1 : 0];
        $held = $beyond?->inside === Inside::Unconditioned && $upright->faces === Faces::Unconditioned;
        $this->add(Kinds::edge($upright, $level, $top, $held, $block->roofForm), $upright, $level, $segment, $z);
    }

    /**
     * All but one conditioned: a side that goes up from a top, or down from a base.
     *
     * @param  list<Block|null>  $round
     */
    private function hollow(Segment $segment, float $z, array $round, int $cold): void
    {
        // Beside it, and over or under it.
        $across = $cold ^ 1;
        $stacked = 3 - $cold;
        [$sideBlock, $levelBlock] = [$round[$across], $round[$stacked]];
        if ($sideBlock === null || $levelBlock === null) {
            return;
        }
        $left = $cold === 0 || $cold === 3;
        $up = $cold < 2;
        $upright = $this->upright($segment, $z, $sideBlock, $across);
        $place = $segment->middle($left ? Surfaces::HAIR : -Surfaces::HAIR);
        $level = $this->surfaces->level($levelBlock, $up, ...$place);
        if ($upright !== null && $level !== null) {
            $this->add(Kinds::hollow($upright, $level, $up), $upright, $level, $segment, $z);
        }
    }

    /** @param  int  $at  the quarter that its block fills */
    private function upright(Segment $segment, float $z, Block $block, int $at): ?Part
    {
        $edge = $segment->sideOf($block);

        return $edge === null
            ? null
            : $this->surfaces->upright(
                $block,
                $edge,
                $edge->u(...$segment->middle()),
                $z + ($at < 2 ? Surfaces::HAIR : -Surfaces::HAIR),
            );
    }

    /**
     * The surface that bounds a conditioned quarter towards the one before it, or after it.
     *
     * @param  list<Block|null>  $round
     */
    private function surface(Segment $segment, float $z, array $round, int $at, int $towards): ?Part
    {
        $next = ($at + 4 + $towards) % 4;
        $block = $round[$at];
        if ($block === null) {
            return null;
        }
        // Quarters 0 and 1, and 2 and 3, lie beside each other; the others over each other.
        if (intdiv($at, 2) === intdiv($next, 2)) {
            return $this->upright($segment, $z, $block, $at);
        }
        $left = $at === 0 || $at === 3;

        return $this->surfaces->level(
            $block,
            $at > 1,
            ...$segment->middle($left ? Surfaces::HAIR : -Surfaces::HAIR),
        );
    }

    private function add(?JointKind $kind, Part $a, Part $b, Segment $segment, float $z): void
    {
        if ($kind !== null) {
            $this->met[] = new Met(
                $kind,
                $a,
                $b,
                [$segment->x0, $segment->y0, $z],
                [$segment->x1, $segment->y1, $z],
            );
        }
    }
}
