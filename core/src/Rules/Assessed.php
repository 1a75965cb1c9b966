<?php

declare(strict_types=1);

namespace Apron\Rules;

/** Something of a project with all that is said of it. */
interface Assessed
{
    /** @return list<Finding> */
    public function findings(): array;

    /** @return array<string, mixed> its figures as `apron-assessment/1` has them */
    public function toArray(Words $words): array;
}
