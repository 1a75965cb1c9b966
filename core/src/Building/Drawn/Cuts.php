<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Envelope;
use Apron\Building\Joint;
use Apron\Building\Met;
use Apron\Building\Threads;

/** The fewest cuts, or nearly, that between them show a joint of every kind that there is. */
final class Cuts
{
    /**
     * @return list<Cut> plans first; each goes through the joint of its kind that has the most to lose, so far as no
     *   earlier one shows that kind
     */
    public static function of(Envelope $envelope, Threads $threads): array
    {
        $cuts = $shown = [];
        foreach ([true, false] as $upright) {
            foreach ($threads->worst as $joint) {
                $met = self::longest($joint);
                if ($met === null || isset($shown[$joint->kind->value]) || $met->isUpright() !== $upright) {
                    continue;
                }
                $cut = $upright ? LevelCut::of($envelope, self::middle($met)[2]) : self::across($envelope, $met);
                $shown += array_fill_keys($cut->kinds, true);
                $cuts[] = $cut;
            }
        }

        return $cuts;
    }

    private static function longest(Joint $joint): ?Met
    {
        $longest = null;
        foreach ($joint->met as $met) {
            $longest = $longest === null || $met->length() > $longest->length() ? $met : $longest;
        }

        return $longest;
    }

    /** @return array{float, float, float} */
    private static function middle(Met $met): array
    {
        return [
            ($met->from[0] + $met->to[0]) / 2,
            ($met->from[1] + $met->to[1]) / 2,
            ($met->from[2] + $met->to[2]) / 2,
        ];
    }

    /** Square to where they meet; through a thing in a wall, square to the wall. */
    private static function across(Envelope $envelope, Met $met): Cut
    {
        [$dx, $dy] = [$met->to[0] - $met->from[0], $met->to[1] - $met->from[1]];
        $length = hypot($dx, $dy);
        if ($length < 1.0) {
            $block = $envelope->building->block($met->a->block);
            [$dx, $dy] = $block?->outline->edge($met->a->edge ?? -1)?->along() ?? [1.0, 0.0];
            $length = 1.0;
        }
        [$x, $y] = self::middle($met);

        return UprightCut::of($envelope, [$x, $y], [-$dy / $length, $dx / $length]);
    }
}
