<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Material\Material;

/** A fastener at a place, the pieces it goes through and those it is made for. */
final readonly class PlacedFastener
{
    /**
     * @param  list<string>  $through
     * @param  list<string>  $madeFor
     */
    public function __construct(
        public string $id,
        public string $facet,
        public float $u,
        public float $v,
        public array $through,
        public array $madeFor,
        /** what it is made of, where that is said */
        public ?Material $material = null,
    ) {
    }
}
