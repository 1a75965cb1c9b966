<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A rectangle of a piece on one facet. */
final readonly class Patch
{
    /** @param  list<string>  $joined labels; patches of a piece that meet and share one are joined without a cut */
    public function __construct(
        public string $id,
        public string $facet,
        public Rect $rect,
        public array $joined,
        /** the step at which it comes to rest: a flap may be held up early and laid down late */
        public int $step,
        /** the piece it is tucked under */
        public ?string $under,
        public Edges $edges,
        /** its bottom is where water is meant to leave: a drip, a toe */
        public bool $drain,
    ) {
    }

    public function atStep(int $step): self
    {
        return new self(
            id: $this->id,
            facet: $this->facet,
            rect: $this->rect,
            joined: $this->joined,
            step: $step,
            under: $this->under,
            edges: $this->edges,
            drain: $this->drain,
        );
    }
}
