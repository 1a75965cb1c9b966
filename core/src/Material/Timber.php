<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Rules\RuleFigures;

/** Wood by what more water it bears, as a share of its mass. */
enum Timber: string
{
    case Solid = 'solid';

    case Board = 'board';

    /** share of its dry mass that it may take up in a wetting period */
    public function bears(): float
    {
        return RuleFigures::of('physics')->figure($this === self::Solid ? 'wood_bears_pct' : 'wood_board_bears_pct') /
            100;
    }
}
