<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** Where results of sections are kept by what they are of, so that the same joint is computed once. */
interface HeatKeeper
{
    public function find(string $hash): ?SectionHeat;

    public function keep(string $hash, SectionHeat $heat): void;
}
