<?php

declare(strict_types=1);

namespace Apron\Building;

/** Of one control layer at one joint. */
enum ThreadState: string
{
    case Carried = 'carried';
    /** nothing, or what does not carry it, or a detail that fails */
    case Broken = 'broken';
    /** nobody has said */
    case Undecided = 'undecided';
    case NotNeeded = 'not-needed';

    /** The first has the most to lose. */
    public function rank(): int
    {
        return match ($this) {
            self::Broken => 0,
            self::Undecided => 1,
            self::Carried => 2,
            self::NotNeeded => 3,
        };
    }
}
