<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Finding;

/** One check on a detail whose water has been followed: what it found, what is said of that, and its figures. */
interface DetailCheck
{
    public static function of(Rain $rain): self;

    /** @return list<Finding> */
    public function findings(): array;

    /** @return array<string, mixed> its keys of a detail in `apron-assessment/1`; none where it does not apply */
    public function told(): array;
}
