<?php

declare(strict_types=1);

namespace Apron\Inspection;

final readonly class FaultReinspected
{
    public function __construct(public bool $passes)
    {
    }
}
