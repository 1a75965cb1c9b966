<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Material\Material;

/** The materials a detail is made of, by what they are for. */
final readonly class Used
{
    /** @param  array<string, Material>  $materials  as parameters are called: they end in `_material` */
    public function __construct(private array $materials)
    {
    }

    /**
     * With the wall's plane by that name too. Where the plane takes the name of one of the method's own, that one is
     * asked for by another.
     */
    public function inPlane(string $place, string $besides): self
    {
        $materials = $this->materials;
        $own = $materials[$besides] ?? $materials[$place];

        return new self(['plane_material' => $materials[$place], $place => $own] + $materials);
    }

    /** @param  string  $for  such as `pan` or `head_strip` */
    public function of(string $for): Material
    {
        return $this->materials["{$for}_material"] ?? throw new \LogicException("no material is asked for $for");
    }
}
