<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** How much of the driving rain a wall gets: its height, the country around it, what is over it. */
final readonly class Exposure
{
    public function __construct(
        /** m, of the building */
        public float $height = 10.0,
        public Terrain $terrain = Terrain::Medium,
        public Overhead $over = Overhead::None,
    ) {
    }
}
