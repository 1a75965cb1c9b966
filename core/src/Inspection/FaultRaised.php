<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

final readonly class FaultRaised
{
    public function __construct(public Severity $severity)
    {
    }
}
