<?php

declare(strict_types=1);

namespace Apron\Crew;

/** Lengths on rolls or bars of one length: first-fit decreasing, and the fewest that any packing could take. */
final class Packing
{
    private const HAIR = 0.5;

    /**
     * First-fit decreasing (D. S. Johnson, 1973): the longest first, each on the first that still has its length.
     *
     * @param  array<int, float>  $lengths  mm, none longer than what it is cut from
     * @return array<int, int> from 1, by the keys of what was given
     */
    public static function firstFit(array $lengths, float $of): array
    {
        arsort($lengths);
        $left = $from = [];
        // Nothing before this one has room for what is as long as the last piece, or longer.
        $open = 0;
        $last = null;
        foreach ($lengths as $key => $length) {
            if ($length !== $last) {
                [$open, $last] = [0, $length];
            }
            for ($i = $open; isset($left[$i]) && $left[$i] < $length - self::HAIR; $i++);
            $left[$i] = ($left[$i] ?? $of) - $length;
            $from[$key] = $i + 1;
            $open = $i;
        }

        return $from;
    }

    /**
     * The fewest that any packing could take, by two bounds: L2 of Martello and Toth (Knapsack Problems, 1990, 8.3.2;
     * from memory), over a few thresholds; and all of the length over the fullest that one can be filled.
     *
     * @param  array<int, float>  $lengths  mm
     */
    public static function atLeast(array $lengths, float $of): int
    {
        $best = (int) ceil((array_sum($lengths) - self::HAIR) / self::fullest($lengths, $of));
        $thresholds = array_unique(array_filter($lengths, fn (float $l): bool => $l <= $of / 2));
        sort($thresholds);
        $step = max(1, intdiv(count($thresholds), 40));
        for ($i = 0; $i < count($thresholds) + $step; $i += $step) {
            $alone = $pairs = 0;
            $sum = $small = 0.0;
            $threshold = $thresholds[min($i, count($thresholds) - 1)] ?? 0.0;
            foreach ($lengths as $length) {
                if ($length > $of - $threshold + self::HAIR) {
                    $alone++;
                } elseif ($length > $of / 2 + self::HAIR) {
                    $pairs++;
                    $sum += $length;
                } elseif ($length >= $threshold) {
                    $small += $length;
                }
            }
            $more = (int) max(0.0, ceil(($small - ($pairs * $of - $sum) - self::HAIR) / $of));
            $best = max($best, $alone + $pairs + $more);
        }

        return $lengths === [] ? 0 : max(1, $best);
    }

    /**
     * The most of one that any of the lengths fill, mm, where they are whole centimetres; all of it where they are not.
     *
     * @param  array<int, float>  $lengths
     */
    private static function fullest(array $lengths, float $of): float
    {
        $grid = 10.0;
        $kinds = array_count_values(array_map(fn (float $l): int => (int) floor(($l + self::HAIR) / $grid), $lengths));
        $areWhole = array_filter($lengths, fn (float $l): bool => abs($l / $grid - round($l / $grid)) > 0.05) === [];
        $room = (int) floor(($of + self::HAIR) / $grid);
        if (! $areWhole || count($kinds) > 200) {
            return $of;
        }
        $reached = [0 => true];
        foreach ($kinds as $length => $count) {
            $most = $length < 1 ? 0 : min($count, intdiv($room, $length));
            $next = $reached;
            foreach (array_keys($reached) as $sum) {
                for ($n = 1; $n <= $most && $sum + $n * $length <= $room; $n++) {
                    $next[$sum + $n * $length] = true;
                }
            }
            $reached = $next;
        }
        $full = $grid * max(array_keys($reached));

        return $full > 0 ? min($of, $full) : $of;
    }
}
