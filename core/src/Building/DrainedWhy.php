<?php

declare(strict_types=1);

namespace Apron\Building;

/** Why what runs behind a cladding comes out, or does not. */
enum DrainedWhy: string
{
    case ComesOut = 'comes-out';
    /** the wall below takes it on */
    case GoesOn = 'goes-on';
    /** there is no space that drains */
    case NoSpace = 'no-space';
    /** level members cross every space there is */
    case CutOff = 'cut-off';
    case BaseClosed = 'base-closed';
    case HeadsClosed = 'heads-closed';
    /** the wall below has no space for it, and nothing leads it out above that */
    case OntoSolid = 'onto-solid';
    case NotSaid = 'not-said';
}
