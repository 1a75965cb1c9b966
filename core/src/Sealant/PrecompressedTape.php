<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Rules\RuleFigures;

/** Pre-compressed foam tape: one of the sizes a maker has, by the range of joint it works in. */
final class PrecompressedTape
{
    /**
     * The size whose range holds the whole of the joint's swing, nearest to its middle; null where none does.
     *
     * @param  list<array{float, float}>|null  $ranges  mm; as such tapes are commonly sold where null
     * @return array{float, float}|null
     */
    public static function choose(float $jointMm, float $movementMm, ?array $ranges = null): ?array
    {
        $best = null;
        $nearest = INF;
        foreach ($ranges ?? RuleFigures::of('sealant')->pairs('tape_ranges_mm') as $range) {
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
        $figures = RuleFigures::of('sealant');

        return $sideMm <= $figures->figure('tape_short_side_mm')
            ? $sideMm + $figures->figure('tape_extra_mm')
            : $sideMm * (1 + $figures->figure('tape_extra_share'));
    }
}
