<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\Assembly;

/** An assembly through years of hours in the climate of the project. */
final readonly class WallRun
{
    public function __construct(
        public string $id,
        public string $title,
        public Assembly $assembly,
        /** at most so many */
        public int $years,
        /** degrees from north that it looks to; null takes the facing that gets most rain */
        public ?float $facing = null,
        public ?Leak $leak = null,
        /** share of saturation of every layer at the beginning; null takes the usual */
        public ?float $humidity = null,
        public ?AirThrough $air = null,
    ) {
    }
}
