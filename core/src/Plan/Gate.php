<?php

declare(strict_types=1);

namespace Apron\Plan;

/** Whether the weather of a day lets a thing be done; the first that applies says why not. */
enum Gate: string
{
    case Open = 'open';
    /** warm enough for some of the day */
    case WarmHours = 'warm-hours';
    case Rain = 'rain';
    case Cold = 'cold';
    case Hot = 'hot';
    case Frost = 'frost';
    /** faces are wet from the day before, or by the air, and it takes none */
    case Damp = 'damp';
    case Wind = 'wind';

    public function stops(): bool
    {
        return $this !== self::Open && $this !== self::WarmHours;
    }
}
