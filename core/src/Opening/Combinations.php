<?php

declare(strict_types=1);

namespace Apron\Opening;

/** Every way in which openings can be composed: which go together, and which do not and why. */
final class Combinations
{
    /** Axes whose answers change what is drawn; the others close the joints of what is there. */
    public const DRAWN = [
        'plane',
        'held_by',
        'first',
        'dressing',
        'under_sill',
        'buck',
        'buck_place',
        'solid_sheet',
        'outboard',
        'drains_to',
        'over_flange',
        'head',
        'head_cap',
        'second_layer',
    ];

    /** Axes that say how the joint round the unit is closed. */
    public const SEALS = ['outer', 'outer_sill', 'air_seal', 'clips_sealed'];

    /**
     * Every combination of the answers along these axes, whether they go together or not.
     *
     * @param  list<string>  $axes
     * @param  array<string, string>  $answers  that are settled before them
     * @return list<array<string, string>>
     */
    public static function of(array $axes, array $answers = []): array
    {
        if ($axes === []) {
            return [$answers];
        }
        [$name, $rest] = [$axes[0], array_slice($axes, 1)];
        $axis = Axes::all()[$name];
        foreach ($axis['when'] as $asked => $of) {
            if (! in_array($answers[$asked] ?? null, $of, true)) {
                return self::of($rest, $answers);
            }
        }
        $all = [];
        foreach ($axis['of'] as $answer) {
            array_push($all, ...self::of($rest, $answers + [$name => $answer]));
        }

        return $all;
    }
}
