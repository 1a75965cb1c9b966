<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** Which way members of a framed layer run: what comes down a wall passes some of them and stands on others. */
enum Runs: string
{
    case Up = 'up';
    case Level = 'level';
    /** slanted, or level in short lengths with spaces between them */
    case Slanted = 'slanted';
}
