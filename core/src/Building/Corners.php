<?php

declare(strict_types=1);

namespace Apron\Building;

/** Points at which three parts or more meet: what a mock-up is built of. */
final class Corners
{
    /**
     * @return list<array{at_mm: array{float, float, float}, joints: list<string>, worst: string}> `worst`: the joint
     *   there that has the most to lose
     */
    public static function of(Envelope $envelope, Threads $threads): array
    {
        $points = [];
        foreach ($envelope->joints as $joint) {
            foreach ($joint->met as $met) {
                foreach ([$met->from, $met->to] as $at) {
                    $key = vsprintf('%.0F %.0F %.0F', $at);
                    $points[$key] ??= [$at, []];
                    $points[$key][1][$joint->id] = $joint;
                }
            }
        }
        $corners = [];
        foreach ($points as [$at, $joints]) {
            $parts = array_unique(array_merge(...array_map(fn (Joint $j): array => $j->parts, array_values($joints))));
            if (count($parts) >= 3) {
                $corners[] = [
                    'at_mm' => $at,
                    'joints' => array_map(strval(...), array_keys($joints)),
                    'worst' => self::worst(array_values($joints), $threads),
                ];
            }
        }

        return $corners;
    }

    /** @param  non-empty-list<Joint>  $joints */
    private static function worst(array $joints, Threads $threads): string
    {
        usort($joints, fn (Joint $a, Joint $b): int => $threads->loss($a) <=> $threads->loss($b));

        return $joints[0]->id;
    }
}
