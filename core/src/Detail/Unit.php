<?php

declare(strict_types=1);

namespace Apron\Detail;

/** The window or door: where in the depth it sits, which piece is its flange, and its joints. */
final readonly class Unit
{
    /** @param  array<string, UnitJoint>  $joints by facet: sill, head, jamb-left, jamb-right */
    public function __construct(
        public float $outerZ,
        public float $innerZ,
        public ?string $flange,
        public array $joints,
    ) {
    }
}
