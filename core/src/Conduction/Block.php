<?php

declare(strict_types=1);

namespace Apron\Conduction;

use Apron\Material\Material;

/** What a rectangle of a section is filled with. */
final readonly class Block
{
    public function __construct(
        public Rect $rect,
        /** λ, W/(m·K) */
        public float $conductivity,
        /** that it is of; null where its conductivity alone is stated */
        public ?Material $material = null,
    ) {
    }
}
