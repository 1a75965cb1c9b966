<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Rules\RuleFigures;

/** A year hour by hour, 8760 of them from the first of January, and what it comes to by month. */
final readonly class HourlyYear
{
    public const HOURS = 8760;

    /**
     * Shares of a day's swing and of a month's mean swing that pass by in a few days; made up, within what is usual.
     */
    private const WEATHER_K = 3.0;

    private const HOUR_TO_HOUR = 0.985;

    /** Mean wind where a month does not say, m/s. */
    private const WIND = 4.0;

    /** @param  list<Hour>  $hours 8760 */
    public function __construct(
        public string $name,
        public array $hours,
        /** degrees north; null where nobody has said */
        public ?float $latitude = null,
    ) {
    }

    /**
     * A year that might have been: each month's figures as the climate gives them, a swing over the day, weather that
     * drifts from hour to hour, rain in spells and sun by the time of day. The same seed gives the same year. After the
     * drift every month is shifted (temperature, vapour pressure) or scaled (rain, wind, sun) so that its mean is the
     * climate's.
     */
    public static function synthesise(Climate $climate, int $seed): self
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $chance = fn (): float => $random->getInt(0, PHP_INT_MAX) / PHP_INT_MAX;
        $noise = fn (): float => sqrt(-2 * log(max(1e-12, $chance()))) * cos(2 * M_PI * $chance());
        $hours = [];
        $drift = 0.0;
        $spell = 0;
        $from = 240.0;
        foreach ($climate->months as $m => $month) {
            $raw = [];
            for ($h = 0; $h < Month::DAYS[$m] * 24; $h++) {
                $clock = $h % 24;
                $drift = self::HOUR_TO_HOUR * $drift + sqrt(1 - self::HOUR_TO_HOUR ** 2) * $noise();
                // Rain comes in spells: one begins about twice a week and lasts some hours.
                $spell = $spell > 0 ? $spell - 1 : ($chance() < 2 / 168 ? (int) (2 + 14 * $chance()) : 0);
                $from = fmod($from + 12 * $noise() + 360, 360);
                $raw[] = [
                    $month->celsius +
                    ($month->dailySwing ?? 4.0) * cos((2 * M_PI * ($clock - 15)) / 24) +
                    self::WEATHER_K * $drift,
                    max(0.05, 1 + 0.25 * $drift),
                    $spell > 0 ? -log(max(1e-6, $chance())) : 0.0,
                    max(0.1, 1 + 0.45 * $noise()),
                    max(0.0, cos((2 * M_PI * ($clock - 12)) / 24)) * (0.4 + 0.6 * $chance()),
                    $from,
                ];
            }
            $hours = [...$hours, ...self::monthly($month, $raw)];
        }

        return new self($climate->name, $hours);
    }

    /** Twelve months of it: means of temperature and of vapour pressure, wind and sun; the sum of rain. */
    public function climate(?string $zone = null): Climate
    {
        $months = [];
        $first = 0;
        $facings = $this->worstFacings();
        foreach (Month::DAYS as $m => $days) {
            $hours = array_slice($this->hours, $first, $days * 24);
            $first += $days * 24;
            $celsius = self::mean(array_map(fn (Hour $h): float => $h->celsius, $hours));
            $pressure = self::mean(array_map(fn (Hour $h): float => $h->vapourPressure, $hours));
            $rain = self::stated(array_map(fn (Hour $h): ?float => $h->rain, $hours));
            $wind = self::stated(array_map(fn (Hour $h): ?float => $h->wind, $hours));
            $sun = self::stated(array_map(fn (Hour $h): ?float => $h->sun, $hours));
            $months[] = new Month(
                $celsius,
                min(100.0, (100 * $pressure) / Air::saturation($celsius)),
                $rain === null ? null : array_sum($rain),
                $wind === null ? null : self::mean($wind),
                $sun === null ? null : self::mean($sun),
                worstFacing: $facings[$m],
            );
        }

        return new Climate($this->name, $months, $zone ?? $this->zone(), $this->coldest(0.01), $this->latitude);
    }

    /** Temperature that a share of the hours fall short of, °C. */
    public function coldest(float $share): float
    {
        $celsius = array_map(fn (Hour $hour): float => $hour->celsius, $this->hours);
        sort($celsius);

        return $celsius[(int) floor($share * count($celsius))];
    }

    /**
     * Thermal climate zone by heating degree days to 18 °C and cooling degree days to 10 °C of daily means, ASHRAE
     * 169-2013 table B (from memory). C where it is marine; B where the rain of every hour is known and there is little
     * of it; else A.
     */
    public function zone(): string
    {
        [$heating, $cooling, $warmest, $coldest] = [0.0, 0.0, -INF, INF];
        foreach (array_chunk($this->hours, 24) as $day) {
            $mean = self::mean(array_map(fn (Hour $hour): float => $hour->celsius, $day));
            $heating += max(0.0, 18 - $mean);
            $cooling += max(0.0, $mean - 10);
        }
        $first = 0;
        foreach (Month::DAYS as $days) {
            $mean = self::mean(
                array_map(fn (Hour $h): float => $h->celsius, array_slice($this->hours, $first, $days * 24)),
            );
            [$first, $warmest, $coldest] = [$first + $days * 24, max($warmest, $mean), min($coldest, $mean)];
        }
        $physics = RuleFigures::of('physics');
        foreach ($physics->table('marine') as $zone => $marine) {
            if (
                $heating > $marine['heating_above'] &&
                $heating <= $marine['heating_most'] &&
                $coldest > $marine['coldest_above'] &&
                $coldest < $marine['coldest_below'] &&
                $warmest < $marine['warmest_below']
            ) {
                return $zone;
            }
        }
        foreach ($physics->table('zones') as $zone => $limit) {
            if ($cooling > ($limit['cooling_above'] ?? INF) || $heating <= ($limit['heating_most'] ?? -1.0)) {
                return $this->isDry() ? str_replace('A', 'B', (string) $zone) : (string) $zone;
            }
        }

        return '8';
    }

    private function isDry(): bool
    {
        $rain = self::stated(array_map(fn (Hour $hour): ?float => $hour->rain, $this->hours));
        $mean = self::mean(array_map(fn (Hour $hour): float => $hour->celsius, $this->hours));
        $physics = RuleFigures::of('physics');

        return $rain !== null &&
            array_sum($rain) < $physics->figure('dry_mm_k') * ($mean + $physics->figure('dry_from_c'));
    }

    /**
     * For each month, how much more driving rain the facing that gets most of it over the year gets than the mean of
     * all; null where rain, wind or its direction are not known, and in a month without.
     *
     * @return list<float|null>
     */
    private function worstFacings(): array
    {
        [$worst, $most] = [0, -1.0];
        for ($facing = 0; $facing < 360; $facing += 15) {
            $gets = $this->drivingRain($facing);
            if ($gets === null) {
                return array_fill(0, 12, null);
            }
            [$worst, $most] = $gets > $most ? [$facing, $gets] : [$worst, $most];
        }
        $factors = [];
        $first = 0;
        foreach (Month::DAYS as $days) {
            [$all, $there] = [0.0, 0.0];
            foreach (array_slice($this->hours, $first, $days * 24) as $hour) {
                $driven = (float) $hour->wind * (float) $hour->rain;
                $all += $driven / M_PI;
                $there += $driven * max(0.0, cos(deg2rad((float) $hour->windFrom - $worst)));
            }
            $factors[] = $all > 0 ? $there / $all : null;
            $first += $days * 24;
        }

        return $factors;
    }

    /**
     * Airfield annual index, mm: the rain that would pass an upright plane facing `$facing` degrees from north in open
     * country, ISO 15927-3:2009, formula (1), I = 2/9 · Σ v·r^(8/9)·cos(D − θ) where the cosine is above zero. Null
     * without rain and wind.
     */
    public function drivingRain(float $facing): ?float
    {
        $sum = 0.0;
        foreach ($this->hours as $hour) {
            if ($hour->rain === null || $hour->wind === null || $hour->windFrom === null) {
                return null;
            }
            $sum += $hour->wind * $hour->rain ** (8 / 9) * max(0.0, cos(deg2rad($hour->windFrom - $facing)));
        }

        return (2 / 9) * $sum;
    }

    /**
     * @param  list<array{float, float, float, float, float, float}>  $raw  temperature, then factors of vapour, rain,
     *   wind, sun; direction
     * @return list<Hour>
     */
    private static function monthly(Month $month, array $raw): array
    {
        $mean = fn (int $k): float => self::mean(array_column($raw, $k));
        $shift = $month->celsius - $mean(0);
        [$vapour, $rain, $wind, $sun] = [$mean(1), array_sum(array_column($raw, 2)), $mean(3), $mean(4)];
        $hours = [];
        foreach ($raw as $row) {
            $hours[] = [
                'celsius' => $row[0] + $shift,
                'pressure' => ($month->vapourPressure() * $row[1]) / $vapour,
                'rain' => $month->rain === null
                        ? null
                        : ($rain > 0
                            ? ($month->rain * $row[2]) / $rain
                            : $month->rain / count($raw)),
                'wind' => (($month->wind ?? self::WIND) * $row[3]) / $wind,
                'from' => $row[5],
                'sun' => $month->sun === null ? null : ($month->sun * $row[4]) / $sun,
            ];
        }
        $hours = self::belowSaturation($hours);

        return array_map(
            fn (array $h): Hour => new Hour(
                $h['celsius'],
                $h['pressure'],
                $h['rain'],
                $h['wind'],
                $h['from'],
                $h['sun'],
            ),
            $hours,
        );
    }

    /**
     * Takes what is above saturation in the cold hours and gives it to the others, so that the month keeps its mean.
     *
     * @param  list<array{celsius: float, pressure: float, rain: float|null, wind: float, from: float,
     *   sun: float|null}>  $hours
     * @return list<array{celsius: float, pressure: float, rain: float|null, wind: float, from: float, sun: float|null}>
     */
    private static function belowSaturation(array $hours): array
    {
        for ($turn = 0; $turn < 50; $turn++) {
            [$over, $room] = [0.0, 0.0];
            foreach ($hours as $hour) {
                $most = Air::saturation($hour['celsius']);
                $over += max(0.0, $hour['pressure'] - $most);
                $room += max(0.0, $most - $hour['pressure']);
            }
            if ($over <= 0 || $room <= 0) {
                break;
            }
            foreach ($hours as $i => $hour) {
                $most = Air::saturation($hour['celsius']);
                $hours[$i]['pressure'] =
                    min($most, $hour['pressure']) + max(0.0, $most - $hour['pressure']) * min(1.0, $over / $room);
            }
        }

        return $hours;
    }

    /**
     * A line of hours each, as spreadsheets read them.
     *
     * @param  string  $how  it came about, for the first line
     */
    public function csv(string $how): string
    {
        $name = trim((string) preg_replace('/[\x00-\x1f\x7f,"]+/', ' ', $this->name));
        $lines = [
            "# $name, $how; not a measured year",
            'hour,temperature_c,vapour_pressure_pa,rain_mm,wind_m_s,wind_from_deg,sun_w_m2',
        ];
        $cell = fn (?float $value, int $digits): string => $value === null ? '' : (string) round($value, $digits);
        foreach ($this->hours as $i => $hour) {
            $lines[] = implode(',', [
                $i + 1,
                $cell($hour->celsius, 2),
                $cell($hour->vapourPressure, 1),
                $cell($hour->rain, 3),
                $cell($hour->wind, 2),
                $cell($hour->windFrom, 0),
                $cell($hour->sun, 1),
            ]);
        }

        return implode("\n", $lines)."\n";
    }

    /** @param  list<float>  $values */
    private static function mean(array $values): float
    {
        return array_sum($values) / count($values);
    }

    /**
     * @param  list<float|null>  $values
     * @return list<float>|null null where any is missing
     */
    private static function stated(array $values): ?array
    {
        $stated = array_values(array_filter($values, fn (?float $value): bool => $value !== null));

        return count($stated) === count($values) ? $stated : null;
    }
}
