<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** How the insulation of a roof and a wall meet at a parapet. */
enum ParapetWay: string
{
    /** what bears the wall goes up between them */
    case Bare = 'parapet';

    /** the same, with insulation up its inner side and over it */
    case Wrapped = 'parapet wrapped';

    /** the parapet stands on the insulation of the roof */
    case OnInsulation = 'parapet on insulation';
}
