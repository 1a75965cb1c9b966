<?php

declare(strict_types=1);

namespace Apron\Cure;

/** The changes that are tried, in the order in which the trade thinks of them. */
final class Changes
{
    /**
     * @param  bool  $fromOutdoors  vapour comes from outdoors: then nothing tight goes inside, and the barrier outside
     * @return non-empty-list<Change>
     */
    public static function inOrder(bool $fromOutdoors): array
    {
        $boards = [new Change\ThickerInsulation, new Change\BoardOutside];
        $films = $fromOutdoors
            ? [new Change\FilmTakenOut, new Change\OtherMaterial, new Change\BarrierOutside]
            : [new Change\FilmTakenOut, new Change\SmartFilmInstead, new Change\RetarderInside];
        $rest = [new Change\GapBehindCladding, new Change\BracketsForGirts, new Change\FoamInCavity];

        return $fromOutdoors
            ? [...$films, ...$boards, ...$rest]
            : [...$boards, ...$films, ...$rest, new Change\OtherMaterial];
    }
}
