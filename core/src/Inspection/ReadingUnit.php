<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** What a reading is in: units are what the thing has. */
enum ReadingUnit: string
{
    case Millimetre = 'mm';

    /** films */
    case Micrometre = 'um';

    case Celsius = 'c';

    /** relative humidity, moisture of wood */
    case Percent = 'pct';

    /** pulls and peels */
    case Newton = 'n';

    case Count = 'count';

    case Days = 'days';
}
