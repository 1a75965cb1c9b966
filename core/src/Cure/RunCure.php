<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Transient\WallRun;

/** A change to the assembly of a run, and the same run of what it makes of it. */
final readonly class RunCure
{
    public function __construct(public Cure $cure, public WallRun $run)
    {
    }
}
