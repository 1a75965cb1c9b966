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

    /** The same run of an assembly that was changed; null where a layer that it speaks of is gone. */
    public function in(Assembly $changed): ?self
    {
        $leak = $this->leak === null ? null : $this->placeIn($changed, $this->leak->layer);
        $air = $this->air === null ? null : $this->placeIn($changed, $this->air->layer);
        if (($this->leak !== null && $leak === null) || ($this->air !== null && $air === null)) {
            return null;
        }

        return new self(
            $this->id,
            $this->title,
            $changed,
            $this->years,
            $this->facing,
            $leak === null ? null : new Leak($this->leak->share ?? 0.0, $leak),
            $this->humidity,
            $air === null ? null : new AirThrough($this->air->flow ?? 0.0, $air),
        );
    }

    private function placeIn(Assembly $changed, int $layer): ?int
    {
        foreach ($changed->layers as $n => $each) {
            if ($each->id === $this->assembly->layers[$layer]->id) {
                return $n;
            }
        }

        return null;
    }
}
