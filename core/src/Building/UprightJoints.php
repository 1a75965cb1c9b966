<?php

declare(strict_types=1);

namespace Apron\Building;

/** Joints that stand upright: at each corner of the plan, between two heights, the sectors round it are asked. */
final class UprightJoints
{
    public function __construct(private readonly Surfaces $surfaces)
    {
    }

    /**
     * @param  list<Segment>  $segments
     * @return list<Met>
     */
    public function of(array $segments): array
    {
        $points = [];
        foreach ($segments as $segment) {
            foreach ([[$segment->x0, $segment->y0], [$segment->x1, $segment->y1]] as $point) {
                $key = vsprintf('%.1F %.1F', $point);
                $points[$key] ??= [$point, []];
                $points[$key][1][] = $segment;
            }
        }
        $met = [];
        foreach ($points as [$point, $meeting]) {
            $levels = $this->levels($point, $meeting);
            for ($i = 1; $i < count($levels); $i++) {
                array_push($met, ...$this->between($point, $meeting, $levels[$i - 1], $levels[$i]));
            }
        }

        return $met;
    }

    /**
     * @param  array{float, float}  $point
     * @param  list<Segment>  $meeting
     * @return list<float>
     */
    private function levels(array $point, array $meeting): array
    {
        $levels = [];
        foreach ($meeting as $segment) {
            foreach ($segment->sides as [$block, $edge]) {
                $ground = $this->surfaces->building->groundAt($block, $edge->index);
                array_push($levels, $block->base, $block->top, $block->topAt(...$point), $ground);
                foreach ($block->stretches as $stretch) {
                    array_push($levels, $stretch->base ?? $block->base, $stretch->top ?? $block->top);
                }
            }
        }

        return Areas::sorted($levels, -INF, INF);
    }

    /**
     * @param  array{float, float}  $point
     * @param  list<Segment>  $meeting
     * @return list<Met>
     */
    private function between(array $point, array $meeting, float $low, float $high): array
    {
        $z = ($low + $high) / 2;
        $ways = [];
        foreach ($meeting as $segment) {
            $begins = $segment->x0 === $point[0] && $segment->y0 === $point[1];
            $far = $begins ? [$segment->x1, $segment->y1] : [$segment->x0, $segment->y0];
            $ways[] = [atan2($far[1] - $point[1], $far[0] - $point[0]), $segment];
        }
        usort($ways, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $sectors = [];
        foreach ($ways as $i => [$angle]) {
            $next = $ways[($i + 1) % count($ways)][0] + ($i + 1 === count($ways) ? 2 * M_PI : 0.0);
            $middle = ($angle + $next) / 2;
            $sectors[] = [
                $this->surfaces->building->blockAt(
                    $point[0] + Surfaces::HAIR * cos($middle),
                    $point[1] + Surfaces::HAIR * sin($middle),
                    $z,
                ),
                $next - $angle,
            ];
        }

        return $this->corners($point, $ways, $sectors, $low, $high);
    }

    /**
     * @param  array{float, float}  $point
     * @param  list<array{float, Segment}>  $ways  turning left
     * @param  list<array{Block|null, float}>  $sectors  each after the way of its number
     * @return list<Met>
     */
    private function corners(array $point, array $ways, array $sectors, float $low, float $high): array
    {
        $n = count($sectors);
        $warm = fn (int $i): bool => $sectors[$i % $n][0]?->isConditioned() === true;
        $met = [];
        for ($i = 0; $i < $n; $i++) {
            // Where conditioned space begins, turning left, it is followed to where it ends.
            if (! $warm($i) || $warm($i + $n - 1)) {
                continue;
            }
            $angle = 0.0;
            $j = $i;
            for (; $j < $i + $n && $warm($j); $j++) {
                $angle += $sectors[$j % $n][1];
            }
            $a = $this->side($ways[$i][1], $sectors[$i][0], $point, ($low + $high) / 2);
            $b = $this->side($ways[$j % $n][1], $sectors[($j + $n - 1) % $n][0], $point, ($low + $high) / 2);
            if ($a === null || $b === null) {
                continue;
            }
            $kind = Kinds::corner($a, $b, $angle);
            if ($kind !== null) {
                $met[] = new Met($kind, $a, $b, [...$point, $low], [...$point, $high]);
            }
        }

        return $met;
    }

    /** @param  array{float, float}  $point */
    private function side(Segment $segment, ?Block $block, array $point, float $z): ?Part
    {
        $edge = $block === null ? null : $segment->sideOf($block);
        if ($block === null || $edge === null) {
            return null;
        }
        // A hair from the corner, on the segment.
        [$mx, $my] = $segment->middle();
        [$at, $middle] = [$edge->u(...$point), $edge->u($mx, $my)];

        return $this->surfaces->upright($block, $edge, $at + 10 * Surfaces::HAIR * ($middle <=> $at), $z);
    }
}
