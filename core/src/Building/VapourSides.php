<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;

/**
 * Where the vapour layer of one assembly lies inside of its insulation and that of its neighbour outside: between the
 * two it has to cross the insulation, and nothing carries it through.
 */
final class VapourSides
{
    /**
     * @param  array<string, Assembly>  $assemblies  by id
     * @return list<array{joint: string, between: array{string, string}, length_m: float}> by pair of assemblies, all
     *   of their joints together; the longest of them named
     */
    public static function of(Envelope $envelope, array $assemblies): array
    {
        $sides = array_map(self::side(...), $assemblies);
        $joints = [];
        foreach ($envelope->joints as $joint) {
            $names = array_map(fn (string $id): string => $envelope->parts[$id]->assembly ?? '', $joint->parts);
            sort($names);
            [$a, $b] = $names;
            if (($sides[$a] ?? 0) * ($sides[$b] ?? 0) < 0) {
                $joints["$a $b"][] = $joint;
            }
        }
        $rows = [];
        foreach ($joints as $key => $between) {
            usort($between, fn (Joint $a, Joint $b): int => $b->length <=> $a->length);
            [$a, $b] = [...explode(' ', $key, 2), ''];
            $metres = array_sum(array_map(fn (Joint $joint): float => $joint->length, $between));
            $rows[] = ['joint' => $between[0]->id, 'between' => [$a, $b], 'length_m' => round($metres, 3)];
        }

        return $rows;
    }

    /** −1 inside of all that insulates, 1 outside of all of it, 0 between, or where there is none. */
    private static function side(Assembly $assembly): int
    {
        $vapour = $heat = [];
        foreach ($assembly->layers as $i => $layer) {
            if (in_array(Control::Vapour, $layer->controls, true)) {
                $vapour[] = $i;
            }
            if (in_array(Control::Heat, $layer->controls, true) || $layer->insulates()) {
                $heat[] = $i;
            }
        }
        if ($vapour === [] || $heat === []) {
            return 0;
        }

        return match (true) {
            max($vapour) < min($heat) => -1,
            min($vapour) > max($heat) => 1,
            default => 0,
        };
    }
}
