<?php

declare(strict_types=1);

namespace Apron\Material;

/** The side of a board or batt that a facer is on. */
enum Face: string
{
    case Inner = 'inner';

    case Outer = 'outer';

    public function other(): self
    {
        return $this === self::Inner ? self::Outer : self::Inner;
    }
}
