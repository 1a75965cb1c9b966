<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What is counted of a material. */
enum Counted: string
{
    case Area = 'area';
    case Length = 'length';
    case Volume = 'volume';
    case Count = 'count';

    public function unit(): string
    {
        return match ($this) {
            self::Area => 'm2',
            self::Length => 'm',
            self::Volume => 'l',
            self::Count => 'piece',
        };
    }
}
