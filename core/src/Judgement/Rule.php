<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Rules\Finding;

/** One question that the trade asks of a wall or roof, answered from its own figures. */
interface Rule
{
    /** @return list<Finding> nothing where it does not apply */
    public function findings(AssemblyAssessment $assessed): array;
}
