<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** How much of the driving rain a wall gets: its height, the country around it, what is over it. */
final readonly class Exposure
{
    public const TERRAINS = ['severe', 'medium', 'sheltered'];

    public const OVER = ['eaves', 'none', 'run-off'];

    public function __construct(
        /** m, of the building */
        public float $height = 10.0,
        public string $terrain = 'medium',
        /** steep roof with eaves, none worth the name, or a roof that sheds onto it */
        public string $over = 'none',
    ) {
    }
}
