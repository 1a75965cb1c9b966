<?php

declare(strict_types=1);

namespace Apron\Building;

/** An opening, or a thing that goes through, in its place; mm. */
final readonly class Placed
{
    /**
     * @param  string  $detail  the id of an opening or a detail
     * @param  array{float, float}|null  $at  on plan, where it stands in something level
     */
    public function __construct(
        public string $detail,
        public bool $isOpening,
        public string $block,
        public ?int $edge = null,
        /** its left jamb, or its middle, from the left end of the edge seen from outside */
        public float $x = 0.0,
        /** its sill, or its middle: a level */
        public float $z = 0.0,
        public int $count = 1,
        /** `roof`, `slab` or `soffit`, where it stands in something level */
        public ?string $on = null,
        public ?array $at = null,
        /** W/(m²K) of an opening, unit and frame, as its maker states it */
        public ?float $u = null,
    ) {
    }
}
