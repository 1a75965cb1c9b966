<?php

declare(strict_types=1);

namespace Apron\Building;

/** A stretch of plan along which nothing begins or ends, with the sides of blocks that lie on it. */
final class Segment
{
    /** @var list<array{Block, Edge}> */
    public array $sides = [];

    public function __construct(
        public readonly float $x0,
        public readonly float $y0,
        public readonly float $x1,
        public readonly float $y1,
    ) {
    }

    public function length(): float
    {
        return hypot($this->x1 - $this->x0, $this->y1 - $this->y0);
    }

    /** @return array{float, float} a place on it, or so many mm off it to the left */
    public function middle(float $off = 0.0): array
    {
        $length = $this->length();
        [$dx, $dy] = [($this->x1 - $this->x0) / $length, ($this->y1 - $this->y0) / $length];

        return [($this->x0 + $this->x1) / 2 - $dy * $off, ($this->y0 + $this->y1) / 2 + $dx * $off];
    }

    /** The side of a block that lies on it. */
    public function sideOf(Block $block): ?Edge
    {
        foreach ($this->sides as [$other, $edge]) {
            if ($other === $block) {
                return $edge;
            }
        }

        return null;
    }

    /**
     * All sides of a building, cut wherever a corner, a crossing or a stretch of wall falls on one.
     *
     * @return list<self>
     */
    public static function of(Building $building): array
    {
        $points = self::points($building);
        $segments = [];
        foreach ($building->blocks as $block) {
            foreach ($block->outline->edges as $edge) {
                $cuts = Areas::sorted([0.0, $edge->length, ...$edge->passing($points)], 0.0, $edge->length);
                for ($i = 1; $i < count($cuts); $i++) {
                    $ends = [self::snapped($edge, $cuts[$i - 1]), self::snapped($edge, $cuts[$i])];
                    sort($ends);
                    $key = vsprintf('%.1F %.1F %.1F %.1F', [...$ends[0], ...$ends[1]]);
                    $segments[$key] ??= new self(...$ends[0], ...$ends[1]);
                    $segments[$key]->sides[] = [$block, $edge];
                }
            }
        }

        return array_values($segments);
    }

    /** @return array{float, float} the same place for every side that comes by it */
    private static function snapped(Edge $edge, float $u): array
    {
        [$x, $y] = $edge->at($u);

        // No −0, which is another key than 0.
        return [round($x, 2) + 0.0, round($y, 2) + 0.0];
    }

    /** @return list<array{float, float}> */
    private static function points(Building $building): array
    {
        $points = $edges = [];
        foreach ($building->blocks as $block) {
            array_push($points, ...$block->outline->corners);
            array_push($edges, ...$block->outline->edges);
            foreach ($block->stretches as $stretch) {
                $edge = $block->outline->edge($stretch->edge);
                if ($edge !== null) {
                    array_push($points, $edge->at($stretch->from), $edge->at($stretch->to));
                }
            }
            if ($block->roofForm->ridgeAlong !== null) {
                foreach ($block->outline->edges as $edge) {
                    $points[] = $edge->at($edge->length / 2);
                }
            }
        }
        foreach ($edges as $i => $a) {
            foreach (array_slice($edges, $i + 1) as $b) {
                $crossing = Outline::crossing($a, $b);
                if ($crossing !== null) {
                    $points[] = $crossing;
                }
            }
        }

        $apart = [];
        foreach ($points as [$x, $y]) {
            $apart["$x $y"] = [$x, $y];
        }

        return array_values($apart);
    }
}
