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

    /** @param  string  $for  such as `pan` or `head_strip` */
    public function of(string $for): Material
    {
        return $this->materials["{$for}_material"] ?? throw new \LogicException("no material is asked for $for");
    }
}
