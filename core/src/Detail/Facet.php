<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A flat surface with its own coordinates; water on it moves only along v. */
final readonly class Facet
{
    public function __construct(public string $name, public Rect $extent)
    {
    }
}
