<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Material\Face;
use Apron\Material\Family;
use Apron\Material\Material;

/** Two materials that meet, and how. */
final readonly class Touch
{
    public function __construct(
        public Material $a,
        public Material $b,
        public How $how,
        public Conditions $conditions = new Conditions,
        /** the first lies on the second, its inner face on the other's outer; else the other way round */
        public bool $aOverB = true,
    ) {
    }

    /** The same where it is laid at a temperature, °C; one that is asked about at a temperature keeps that. */
    public function at(float $surfaceC): self
    {
        return new self($this->a, $this->b, $this->how, $this->conditions->at($surfaceC), $this->aOverB);
    }

    /** The same with one material in the place of another. */
    public function with(Material $old, Material $new): self
    {
        return new self(
            $this->a->id === $old->id ? $new : $this->a,
            $this->b->id === $old->id ? $new : $this->b,
            $this->how,
            $this->conditions,
            $this->aOverB,
        );
    }

    /** The one that lies over the other. */
    public function over(): Material
    {
        return $this->aOverB ? $this->a : $this->b;
    }

    public function under(): Material
    {
        return $this->aOverB ? $this->b : $this->a;
    }

    /** The family of a material's face that is turned to the other. */
    public function faceOf(Material $material): ?Family
    {
        return $material->faceFamily($material === $this->over() ? Face::Inner : Face::Outer);
    }
}
