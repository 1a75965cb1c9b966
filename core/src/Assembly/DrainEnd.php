<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** What water meets where a drained space ends. */
enum DrainEnd: string
{
    case Open = 'open';
    case Screened = 'screened';
    /** led out over a flashing */
    case Flashed = 'flashed';
    /** mortar, caulk, trim, soil */
    case Closed = 'closed';
}
