<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Thermal climate zones as tables of practice have them. */
final class ClimateZone
{
    /** The row of a table for a zone: marine 4 has one of its own, elsewhere moist and dry share theirs. */
    public static function row(string $zone): string
    {
        return $zone === '4C' ? '4C' : $zone[0];
    }
}
