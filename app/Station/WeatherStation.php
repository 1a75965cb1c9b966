<?php

declare(strict_types=1);

namespace App\Station;

use Apron\Climate\Month;
use Apron\Plan\DayWeather;

/** A weather station, or a service that forecasts: what Apron asks of a real one. */
interface WeatherStation
{
    /** As the file marks what comes from it. */
    public function name(): string;

    /**
     * @param  list<Month>  $months  of the climate that it stands in, January first
     * @return list<DayWeather> so many days from one on
     */
    public function forecast(int $from, int $days, array $months): array;
}
