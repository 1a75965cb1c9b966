<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Material\Material;

/** Neighbouring layers of one material: one thing, into however many layers it was drawn. */
final readonly class Run
{
    public function __construct(
        /** number of its innermost layer */
        public int $from,
        /** number of its outermost layer */
        public int $to,
        /** the innermost of its layers, by which it is called */
        public Layer $layer,
        /** mm, of all of it */
        public float $thicknessMm,
    ) {
    }

    public function material(): Material
    {
        return $this->layer->material;
    }

    public function with(int $to, Layer $layer): self
    {
        return new self($this->from, $to, $this->layer, $this->thicknessMm + $layer->thicknessMm);
    }

    public function has(int $layer): bool
    {
        return $layer >= $this->from && $layer <= $this->to;
    }

    /** kg/m² that it bears for a while; null where water does it no harm, or nobody has said */
    public function bears(): ?float
    {
        return $this->layer->material->bears($this->thicknessMm);
    }
}
