<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Indoor air month by month: stated, or reckoned from the outdoor air of that month. */
interface IndoorAir
{
    /**
     * @param  int  $month  0 for January
     * @return array{celsius: float, pressure: float} °C and Pa
     */
    public function during(int $month, Month $outdoors): array;
}
