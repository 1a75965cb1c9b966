<?php

declare(strict_types=1);

namespace Apron\Climate;

/** A named pair of indoor and outdoor air that an assembly is also looked at in. */
final readonly class Condition
{
    public function __construct(public string $name, public Month $indoors, public Month $outdoors)
    {
    }
}
