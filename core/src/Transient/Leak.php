<?php

declare(strict_types=1);

namespace Apron\Transient;

/** Rain that gets past the cladding: so much of what strikes the wall, onto the outer face of a layer. */
final readonly class Leak
{
    public function __construct(public float $share, public int $layer)
    {
    }
}
