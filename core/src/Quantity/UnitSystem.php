<?php

declare(strict_types=1);

namespace Apron\Quantity;

enum UnitSystem: string
{
    case SI = 'si';
    case US = 'us';

    public function other(): self
    {
        return $this === self::SI ? self::US : self::SI;
    }
}
