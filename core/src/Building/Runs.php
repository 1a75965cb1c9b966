<?php

declare(strict_types=1);

namespace Apron\Building;

/** Stretches on which the same two parts meet, joined to runs: one joint each. */
final class Runs
{
    /**
     * @param  list<Met>  $met
     * @return list<Joint> in the order in which they were met
     */
    public static function joints(array $met): array
    {
        $byPair = [];
        foreach ($met as $one) {
            $byPair[$one->key()][] = $one;
        }
        $joints = [];
        foreach ($byPair as $key => $stretches) {
            $runs = self::runs($stretches);
            foreach ($runs as $n => $run) {
                $length = array_sum(array_map(fn (Met $one): float => $one->length(), $run)) / 1000;
                $id = $n === 0 ? $key : $key.'#'.($n + 1);
                $joints[] = new Joint($id, $run[0]->kind, $run[0]->pair(), $length, $run);
            }
        }

        return $joints;
    }

    /**
     * @param  non-empty-list<Met>  $stretches
     * @return non-empty-list<non-empty-list<Met>> from the left
     */
    private static function runs(array $stretches): array
    {
        $runs = [];
        foreach ($stretches as $one) {
            $joined = [$one];
            $apart = [];
            foreach ($runs as $run) {
                $touches = array_filter($run, fn (Met $other): bool => $other->touches($one)) !== [];
                $touches ? array_push($joined, ...$run) : ($apart[] = $run);
            }
            $runs = [...$apart, $joined];
        }
        usort($runs, fn (array $a, array $b): int => self::left($a) <=> self::left($b));

        return $runs;
    }

    /**
     * @param  non-empty-list<Met>  $run
     * @return array{float, float, float}
     */
    private static function left(array $run): array
    {
        return min([...array_map(fn (Met $one): array => min($one->from, $one->to), $run)]);
    }
}
