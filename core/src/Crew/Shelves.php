<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\CutSize;

/**
 * Pieces side by side on one roll: the longest first, each beside the first that leaves it the width, else further
 * along (first fit by decreasing height, Coffman, Garey, Johnson, Tarjan, 1980; from memory).
 */
final class Shelves
{
    /** @var list<float> how much roll each run of them takes, mm */
    public array $lengths = [];

    /** @var array<int, int> the run of each piece, by the key it was given with */
    public array $of = [];

    /** @param  array<int, CutSize>  $pieces  none wider than the roll */
    public function __construct(array $pieces, float $roll)
    {
        uasort($pieces, fn (CutSize $a, CutSize $b): int => $b->length <=> $a->length);
        $narrowest = min(INF, ...array_map(fn (CutSize $piece): float => $piece->width, array_values($pieces)));
        $free = [];
        foreach ($pieces as $key => $piece) {
            foreach ($free as $run => $width) {
                if ($width >= $piece->width) {
                    $free[$run] -= $piece->width;
                    $this->of[$key] = $run;

                    continue 2;
                }
            }
            $run = count($this->lengths);
            $this->lengths[] = $piece->length;
            $this->of[$key] = $run;
            // A run that takes not even the narrowest is full, and looked at no more.
            $free[$run] = $roll - $piece->width;
            $free = array_filter($free, fn (float $width): bool => $width >= $narrowest);
        }
    }
}
