<?php

declare(strict_types=1);

namespace Apron\Inspection;

/**
 * Something to measure or look at, made from what the project says. Its words are in the text catalogue under
 * `check.<what>`.
 */
final readonly class Check
{
    /** @param  array<string, float|int|string>  $figures  what its words speak of */
    public function __construct(
        /** names it through edits: detail, what, place */
        public string $id,
        /** the detail or the assembly it is of */
        public string $detail,
        public string $what,
        /** `left`, `right`, or empty where there is one */
        public string $place,
        /** of the detail; of an assembly, the layer from inside */
        public int $step,
        /** mm as drawn; null for a look */
        public ?float $drawn,
        /** what is asked of a reading; null for a look */
        public ?Bounds $bounds,
        /** where it is on the drawing, for the sketch: facet and the measured stretch */
        public ?Measured $measured,
        public array $figures = [],
        /** a film, which is read in mil or µm where only a number is typed */
        public bool $film = false,
        public CheckOf $of = CheckOf::Detail,
        /** taken again and again: what was seen last counts */
        public ?Rhythm $rhythm = null,
    ) {
    }
}
