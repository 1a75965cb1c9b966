<?php

namespace Apron\Climate;

/** Twelve months of outdoor air, January first. */
final readonly class Climate
{
    /** @param  list<Month>  $months twelve */
    public function __construct(public string $name, public array $months)
    {
    }

    /** Index of the coldest month, 0 for January; the first of equals. */
    public function coldest(): int
    {
        $coldest = 0;
        foreach ($this->months as $i => $month) {
            if ($month->celsius < $this->months[$coldest]->celsius) {
                $coldest = $i;
            }
        }

        return $coldest;
    }
}
