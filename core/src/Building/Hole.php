<?php

declare(strict_types=1);

namespace Apron\Building;

/** An opening in its place; mm along its edge and levels, or x and y on plan where it stands in something level. */
final readonly class Hole
{
    public function __construct(
        /** of the opening */
        public string $part,
        /** the part that it stands in */
        public string $within,
        public Block $block,
        /** null where it stands in something level */
        public ?int $edge,
        /** in the base of its block and not in its top */
        public bool $isBelow,
        public float $left,
        public float $sill,
        public float $right,
        public float $head,
    ) {
    }
}
