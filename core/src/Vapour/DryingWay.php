<?php

declare(strict_types=1);

namespace Apron\Vapour;

/** Which way a layer dries once it is wet. */
enum DryingWay: string
{
    case Both = 'both';

    case Outward = 'outward';

    case Inward = 'inward';

    /** less in a year than half a litre spilt on a square metre */
    case Hardly = 'hardly';
}
