<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Climate\Month;

/** What is known of the air on a day: its forecast, else the mean of its month. */
final readonly class Outlook
{
    /** The air that data sheets speak of, where nothing is known. */
    private const SHEET = [23.0, 50.0];

    /** @param  list<Month>|null  $months  January first */
    public function __construct(private Plan $plan, private ?array $months)
    {
    }

    public function forecast(int $day): ?DayWeather
    {
        return $this->plan->forecast[$day] ?? null;
    }

    public function month(int $day): ?Month
    {
        return $this->months[Day::month($day) - 1] ?? null;
    }

    /** @return array{float, float} mean °C and % relative humidity of a day */
    public function air(int $day): array
    {
        $forecast = $this->forecast($day);
        $month = $this->month($day);

        return [
            $forecast?->mean() ?? $month->celsius ?? self::SHEET[0],
            $forecast->humidity ?? $month->humidity ?? self::SHEET[1],
        ];
    }
}
