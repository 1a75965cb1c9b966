<?php

declare(strict_types=1);

namespace Apron\Building;

/** Places within outlines, to ask something of. */
final class Within
{
    /** @return array{float, float} a place within both; of two that have one in common */
    public static function both(Outline $a, Outline $b): array
    {
        return self::find([$a, $b], fn (float $x, float $y): bool => $a->contains($x, $y) && $b->contains($x, $y));
    }

    /**
     * @param  list<Outline>  $others
     * @return array{float, float} a place within an outline and none of the others
     */
    public static function first(Outline $outline, array $others): array
    {
        $free = function (float $x, float $y) use ($outline, $others): bool {
            foreach ($others as $other) {
                if ($other->contains($x, $y)) {
                    return false;
                }
            }

            return $outline->contains($x, $y);
        };

        return self::find([$outline, ...$others], $free);
    }

    /**
     * Between two neighbouring corners along x, and there between two edges along y, lies a place of every region.
     *
     * @param  list<Outline>  $outlines
     * @param  \Closure(float, float): bool  $is
     * @return array{float, float}
     */
    private static function find(array $outlines, \Closure $is): array
    {
        $edges = array_merge(...array_map(fn (Outline $o): array => $o->edges, $outlines));
        $xs = [];
        foreach ($edges as $i => $a) {
            $xs[] = $a->x0;
            foreach (array_slice($edges, $i + 1) as $b) {
                $crossing = Outline::crossing($a, $b);
                if ($crossing !== null) {
                    $xs[] = $crossing[0];
                }
            }
        }
        $xs = array_values(array_unique($xs, SORT_REGULAR));
        sort($xs);
        for ($i = 1; $i < count($xs); $i++) {
            $x = ($xs[$i - 1] + $xs[$i]) / 2;
            $ys = [];
            foreach ($edges as $e) {
                if ($e->x0 > $x !== $e->x1 > $x) {
                    $ys[] = $e->y0 + (($x - $e->x0) / ($e->x1 - $e->x0)) * ($e->y1 - $e->y0);
                }
            }
            sort($ys);
            for ($j = 1; $j < count($ys); $j++) {
                $y = ($ys[$j - 1] + $ys[$j]) / 2;
                if ($ys[$j] - $ys[$j - 1] > Surfaces::HAIR && $is($x, $y)) {
                    return [$x, $y];
                }
            }
        }
        throw new \LogicException('no such place');
    }
}
