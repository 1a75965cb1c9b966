<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\Detail;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\Step;
use Apron\Trace\Check\Laps;
use Apron\Trace\DetailAssessment;
use Apron\Trace\Lap;

/** What the crew needs at each step: the pieces that come to rest, where they lie, what they lap and by how much. */
final class StepCards
{
    /**
     * @param  list<Lap>|null  $laps  of the detail, where they have been measured already
     * @return list<array{number: int, pieces: list<array{piece: Piece, facets: list<string>, laps: list<Lap>}>}> by
     *   step; laps of a piece over or under what was there before
     */
    public static function of(Detail $detail, ?array $laps = null): array
    {
        $laps ??= (new DetailAssessment($detail))->of(Laps::class)->laps;
        $cards = [];
        foreach ($detail->steps as $step) {
            $pieces = [];
            foreach ($detail->pieces as $piece) {
                $patches = array_values(
                    array_filter($piece->patches, fn (Patch $p): bool => $p->step === $step->number),
                );
                if ($patches !== []) {
                    $pieces[] = [
                        'piece' => $piece,
                        'facets' => array_values(array_unique(array_map(fn (Patch $p): string => $p->facet, $patches))),
                        'laps' => array_values(
                            array_filter(
                                $laps,
                                fn (Lap $lap): bool => $lap->step === $step->number && $lap->last === $piece->id,
                            ),
                        ),
                    ];
                }
            }
            $cards[] = ['number' => $step->number, 'pieces' => $pieces];
        }

        return $cards;
    }
}
