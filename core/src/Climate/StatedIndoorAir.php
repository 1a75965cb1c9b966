<?php

declare(strict_types=1);

namespace Apron\Climate;

/** One indoor air for the whole year, or twelve. */
final readonly class StatedIndoorAir implements IndoorAir
{
    /** @param  list<Month>  $months one, or twelve from January */
    public function __construct(public array $months)
    {
    }

    public function during(int $month, Month $outdoors): array
    {
        $air = $this->months[count($this->months) === 1 ? 0 : $month];

        return ['celsius' => $air->celsius, 'pressure' => $air->vapourPressure()];
    }
}
