<?php

declare(strict_types=1);

namespace App\Station;

use Apron\Climate\Month;
use Apron\Plan\Day;
use Apron\Plan\DayWeather;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Stands in for a weather station where there is none: days about the mean of their month, with spells that last and
 * rain as much as the month has. Seeded, so that a day is the same whenever it is asked for; marked wherever it is
 * shown.
 */
final class SimulatedStation implements WeatherStation
{
    /** K that days stand about the mean of their month, as a spell of three days */
    private const SPELL_K = 3.0;

    /** mm of a day with rain, in the mean */
    private const SHOWER_MM = 6.0;

    public function __construct(private readonly int $seed = 1)
    {
    }

    public function name(): string
    {
        return 'simulated-station';
    }

    public function forecast(int $from, int $days, array $months): array
    {
        return array_map(
            fn (int $day): DayWeather => $this->day($day, $months[Day::month($day) - 1]),
            range($from, $from + max(1, $days) - 1),
        );
    }

    private function day(int $day, Month $month): DayWeather
    {
        $spell = ($this->drawn($day) + $this->drawn($day - 1) + $this->drawn($day - 2)) / 3;
        $wet = $this->chance($day);
        $share = min(0.8, ($month->rain ?? 60.0) / 30 / self::SHOWER_MM);
        $rain = $wet < $share ? -log(max(1e-6, $wet / $share)) * self::SHOWER_MM : 0.0;
        $swing = $month->dailySwing ?? 5.0;
        // A cloudy day swings less, and is as damp as it rains.
        $mean = $month->celsius + 2 * self::SPELL_K * $spell;
        $half = $rain > 0 ? $swing / 2 : $swing;

        return new DayWeather(
            $day,
            round($mean - $half, 1),
            round($mean + $half, 1),
            round($rain, 1),
            round(min(100.0, max(20.0, $month->humidity + ($rain > 0 ? 12 : -6) + 10 * $spell))),
            round(max(0.5, ($month->wind ?? 4.0) * (1 + 0.8 * $this->drawn($day + 7919))), 1),
        );
    }

    /** −1 to 1 */
    private function drawn(int $day): float
    {
        return 2 * $this->chance($day + 104729) - 1;
    }

    /** 0 to 1, the same for a day whenever it is asked for */
    private function chance(int $day): float
    {
        return (new Randomizer(new Mt19937(crc32("$this->seed $day"))))->getInt(0, 1_000_000) / 1_000_000;
    }
}
