<?php

declare(strict_types=1);

namespace Apron\Vapour;

/** What a year of condensing and drying comes to, by ISO 13788:2012, clause 6. */
enum YearVerdict: string
{
    /** nothing condenses in any month */
    case Dry = 'dry';

    /** what gathers in some months is gone in others */
    case Dries = 'dries';

    /** wetter every year */
    case Accumulates = 'accumulates';
}
