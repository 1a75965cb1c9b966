<?php

declare(strict_types=1);

namespace Apron\Cure;

/** What a cure does, in the order in which the trade thinks of it. */
enum CureKind: string
{
    case Thickness = 'thickness';
    case OuterBoard = 'outer-board';
    case OuterBarrier = 'outer-barrier';
    case TakeOut = 'take-out';
    case SmartFilm = 'smart-film';
    case Retarder = 'retarder';
    case Gap = 'gap';
    case Brackets = 'brackets';
    case CavityFoam = 'cavity-foam';
    case Material = 'material';

    /** two of these at once */
    case Both = 'both';

    /** nothing that was tried */
    case None = 'none';

    /** Whether the trade thinks of it after another. */
    public function comesAfter(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }
}
