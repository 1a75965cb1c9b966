<?php

declare(strict_types=1);

namespace Apron\Building;

/** A simple polygon on plan, in mm, walked with its inside on the left. */
final readonly class Outline
{
    /** @var list<Edge> in the order walked */
    public array $edges;

    /** @var array{float, float, float, float} least and most x, least and most y */
    public array $bounds;

    /** @param  list<array{float, float}>  $corners  as given, either way round */
    public function __construct(public array $corners)
    {
        $n = count($corners);
        $edges = [];
        foreach ($corners as $i => [$x, $y]) {
            [$x1, $y1] = $corners[($i + 1) % $n];
            $edges[] = self::signed($corners) > 0 ? new Edge($i, $x, $y, $x1, $y1) : new Edge($i, $x1, $y1, $x, $y);
        }
        $this->edges = self::signed($corners) > 0 ? $edges : array_reverse($edges);
        $bounds = [INF, -INF, INF, -INF];
        foreach ($corners as [$x, $y]) {
            $bounds = [min($bounds[0], $x), max($bounds[1], $x), min($bounds[2], $y), max($bounds[3], $y)];
        }
        $this->bounds = $bounds;
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return float mm², positive where it is walked counter-clockwise seen from above
     */
    public static function signed(array $corners): float
    {
        $twice = 0.0;
        $n = count($corners);
        foreach ($corners as $i => [$x, $y]) {
            [$x1, $y1] = $corners[($i + 1) % $n];
            $twice += $x * $y1 - $x1 * $y;
        }

        return $twice / 2;
    }

    /** mm² */
    public function area(): float
    {
        return abs(self::signed($this->corners));
    }

    public function edge(int $index): ?Edge
    {
        foreach ($this->edges as $edge) {
            if ($edge->index === $index) {
                return $edge;
            }
        }

        return null;
    }

    /** Whether a place lies inside; of one on an edge nothing is said. */
    public function contains(float $x, float $y): bool
    {
        [$west, $east, $south, $north] = $this->bounds;
        if ($x < $west || $x > $east || $y < $south || $y > $north) {
            return false;
        }
        $inside = false;
        foreach ($this->edges as $edge) {
            if ($edge->y0 > $y !== $edge->y1 > $y) {
                $cross = $edge->x0 + (($y - $edge->y0) / ($edge->y1 - $edge->y0)) * ($edge->x1 - $edge->x0);
                $inside = $x < $cross ? ! $inside : $inside;
            }
        }

        return $inside;
    }

    /** @return array{float, float} the middle of its area */
    public function centre(): array
    {
        [$sx, $sy, $twice] = [0.0, 0.0, 0.0];
        foreach ($this->edges as $e) {
            $cross = $e->x0 * $e->y1 - $e->x1 * $e->y0;
            $sx += ($e->x0 + $e->x1) * $cross;
            $sy += ($e->y0 + $e->y1) * $cross;
            $twice += $cross;
        }

        return [$sx / (3 * $twice), $sy / (3 * $twice)];
    }

    /**
     * What two outlines have in common, mm²: cut into upright strips in which no two edges cross, in each of which the
     * share is as high as at its middle.
     */
    public function common(self $other): float
    {
        [[$w, $e, $s, $n], [$w2, $e2, $s2, $n2]] = [$this->bounds, $other->bounds];
        if ($w >= $e2 || $w2 >= $e || $s >= $n2 || $s2 >= $n) {
            return 0.0;
        }
        $edges = [...$this->edges, ...$other->edges];
        $cuts = [];
        foreach ($edges as $i => $a) {
            $cuts[] = $a->x0;
            foreach (array_slice($edges, $i + 1) as $b) {
                $x = self::crossing($a, $b);
                if ($x !== null) {
                    $cuts[] = $x[0];
                }
            }
        }
        $cuts = array_values(array_unique($cuts, SORT_REGULAR));
        sort($cuts);
        $area = 0.0;
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            $x = ($cuts[$i - 1] + $cuts[$i]) / 2;
            $area += ($cuts[$i] - $cuts[$i - 1]) * self::shared($this->above($x), $other->above($x));
        }

        return $area;
    }

    /**
     * Where two edges cross, neither at an end; null where they do not, or run side by side.
     *
     * @return array{float, float}|null
     */
    public static function crossing(Edge $a, Edge $b): ?array
    {
        [$ax, $ay, $bx, $by] = [$a->x1 - $a->x0, $a->y1 - $a->y0, $b->x1 - $b->x0, $b->y1 - $b->y0];
        $cross = $ax * $by - $ay * $bx;
        if ($cross === 0.0) {
            return null;
        }
        $t = (($b->x0 - $a->x0) * $by - ($b->y0 - $a->y0) * $bx) / $cross;
        $s = (($b->x0 - $a->x0) * $ay - ($b->y0 - $a->y0) * $ax) / $cross;

        return $t > 0 && $t < 1 && $s > 0 && $s < 1 ? [$a->x0 + $t * $ax, $a->y0 + $t * $ay] : null;
    }

    /** @return list<float> where an upright line through it goes in and out, from below */
    private function above(float $x): array
    {
        $ys = [];
        foreach ($this->edges as $e) {
            if ($e->x0 > $x !== $e->x1 > $x) {
                $ys[] = $e->y0 + (($x - $e->x0) / ($e->x1 - $e->x0)) * ($e->y1 - $e->y0);
            }
        }
        sort($ys);

        return $ys;
    }

    /**
     * @param  list<float>  $a  in and out, in turn
     * @param  list<float>  $b
     */
    private static function shared(array $a, array $b): float
    {
        $shared = 0.0;
        for ($i = 1; $i < count($a); $i += 2) {
            for ($j = 1; $j < count($b); $j += 2) {
                $shared += max(0.0, min($a[$i], $b[$j]) - max($a[$i - 1], $b[$j - 1]));
            }
        }

        return $shared;
    }
}
