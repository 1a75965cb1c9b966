<?php

declare(strict_types=1);

namespace Apron\Material;

/** What a silicone gives off as it cures. */
enum Cure: string
{
    case Neutral = 'neutral';
    case Acetoxy = 'acetoxy';
}
