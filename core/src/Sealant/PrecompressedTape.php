<?php

declare(strict_types=1);

namespace Apron\Sealant;

/** Pre-compressed foam tape: one of the sizes a maker has, by the range of joint it works in. */
final class PrecompressedTape
{
    /** Working ranges as such tapes are commonly sold, mm (common practice); the product's own table wins. */
    public const USUAL = [
        [2.0, 6.0],
        [4.0, 9.0],
        [5.0, 12.0],
        [7.0, 15.0],
        [8.0, 18.0],
        [10.0, 20.0],
        [13.0, 24.0],
        [17.0, 32.0],
        [24.0, 40.0],
    ];

    /**
     * The size whose range holds the whole of the joint's swing, nearest to its middle; null where none does.
     *
     * @param  list<array{float, float}>  $ranges  mm
     * @return array{float, float}|null
     */
    public static function choose(float $jointMm, float $movementMm, array $ranges = self::USUAL): ?array
    {
        $best = null;
        $nearest = INF;
        foreach ($ranges as $range) {
            [$least, $most] = $range;
            if ($jointMm - $movementMm < $least || $jointMm + $movementMm > $most) {
                continue;
            }
            $off = abs($jointMm - ($least + $most) / 2) / ($most - $least);
            if ($off < $nearest) {
                [$best, $nearest] = [$range, $off];
            }
        }

        return $best;
    }

    /**
     * What is cut for a side: half an inch over up to three feet, five in a hundred above (common practice; mind its
     * jump).
     */
    public static function cutMm(float $sideMm): float
    {
        return $sideMm <= 914.4 ? $sideMm + 12.7 : $sideMm * 1.05;
    }
}
