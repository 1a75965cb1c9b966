<?php

declare(strict_types=1);

namespace Apron\Building;

/**
 * A walk from joint to joint right round the envelope: from each to one that goes on where it ended, else to another
 * of a part that it was of, so that a finger stays on the drawing as long as it can.
 */
final class Walk
{
    /** @return list<string> every joint once, by id */
    public static function round(Envelope $envelope): array
    {
        $joints = array_column($envelope->joints, null, 'id');
        $ofPart = $atPlace = [];
        foreach ($joints as $joint) {
            foreach ($joint->parts as $part) {
                $ofPart[$part][$joint->id] = $joint->id;
            }
            foreach (self::ends($joint) as $place) {
                $atPlace[$place][$joint->id] = $joint->id;
            }
        }
        $walk = [];
        while ($joints !== []) {
            $joint = reset($joints);
            while ($joint !== null) {
                $walk[] = $joint->id;
                unset($joints[$joint->id]);
                foreach ($joint->parts as $part) {
                    unset($ofPart[$part][$joint->id]);
                }
                foreach (self::ends($joint) as $place) {
                    unset($atPlace[$place][$joint->id]);
                }
                $next = self::next($joint, $joints, $atPlace) ?? self::first($ofPart, $joint->parts);
                $joint = $next === null ? null : $joints[$next];
            }
        }

        return $walk;
    }

    /** @return list<string> places at which it begins and ends */
    private static function ends(Joint $joint): array
    {
        $ends = [];
        foreach ($joint->met as $met) {
            foreach ([$met->from, $met->to] as $at) {
                $ends[] = vsprintf('%.0F %.0F %.0F', $at);
            }
        }

        return array_values(array_unique($ends));
    }

    /**
     * One that begins where this ends, and is of a part that this is of.
     *
     * @param  array<string, Joint>  $joints  that are left
     * @param  array<string, array<string, string>>  $atPlace
     */
    private static function next(Joint $joint, array $joints, array $atPlace): ?string
    {
        foreach (array_reverse(self::ends($joint)) as $place) {
            foreach ($atPlace[$place] ?? [] as $id) {
                if (array_intersect($joints[$id]->parts, $joint->parts) !== []) {
                    return $id;
                }
            }
        }

        return null;
    }

    /**
     * @param  array<string, array<string, string>>  $by
     * @param  list<string>  $keys
     */
    private static function first(array $by, array $keys): ?string
    {
        foreach ($keys as $key) {
            $there = $by[$key] ?? [];
            if ($there !== []) {
                return reset($there);
            }
        }

        return null;
    }
}
