<?php

declare(strict_types=1);

namespace Apron\Detail;

/** The joint round the unit on one side: outer edge, what fills it, inner air seal. */
final readonly class UnitJoint
{
    public function __construct(public Edge $outer, public bool $insulation, public bool $inner)
    {
    }
}
