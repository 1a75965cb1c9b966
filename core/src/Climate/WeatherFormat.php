<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;

/** A year of hours in the project file: under `weather`. What was not measured all year is left out. */
final class WeatherFormat
{
    private const NEEDED = ['temperature_c', 'rh_pct'];

    private const COLUMNS = [...self::NEEDED, 'rain_mm', 'wind_m_s', 'wind_from_deg', 'sun_w_m2'];

    /** @throws FileRefused */
    public static function read(Node $node): HourlyYear
    {
        $node->object(['name', 'latitude_deg', 'hours'], ['name', 'hours']);
        $given = $node->get('hours')->object(self::COLUMNS, self::NEEDED);
        $column = fn (string $name): ?array => $given->optional($name)?->numbers(HourlyYear::HOURS);
        [$celsius, $humidity] = [$column('temperature_c') ?? [], $column('rh_pct') ?? []];
        [$rain, $wind, $from, $sun] = array_map($column, ['rain_mm', 'wind_m_s', 'wind_from_deg', 'sun_w_m2']);
        $bounds = [
            'temperature_c' => [$celsius, -70.0, 70.0],
            'rh_pct' => [$humidity, 0.0, 110.0],
            'rain_mm' => [$rain ?? [], 0.0, 1000.0],
            'wind_m_s' => [$wind ?? [], 0.0, 100.0],
            'wind_from_deg' => [$from ?? [], 0.0, 360.0],
            'sun_w_m2' => [$sun ?? [], 0.0, 1500.0],
        ];
        foreach ($bounds as $name => [$values, $least, $most]) {
            foreach ($values as $h => $value) {
                if ($value < $least || $value > $most) {
                    $given->get($name)->items()[$h]->refuse("a number from $least to $most");
                }
            }
        }
        $hours = [];
        for ($h = 0; $h < HourlyYear::HOURS; $h++) {
            $hours[] = new Hour(
                $celsius[$h],
                (min(100.0, max(0.1, $humidity[$h])) / 100) * Air::saturation($celsius[$h]),
                $rain[$h] ?? null,
                $wind[$h] ?? null,
                $from[$h] ?? null,
                $sun[$h] ?? null,
            );
        }

        return new HourlyYear(
            $node->get('name')->text(),
            $hours,
            $node->optional('latitude_deg')?->between(-90, 90, 'degrees'),
        );
    }

    /** @return array<string, mixed> */
    public static function write(HourlyYear $year): array
    {
        $columns = [
            'temperature_c' => array_map(fn (Hour $h): float => round($h->celsius, 2), $year->hours),
            'rh_pct' => array_map(
                fn (Hour $h): float => round((100 * $h->vapourPressure) / Air::saturation($h->celsius), 1),
                $year->hours,
            ),
            'rain_mm' => array_map(fn (Hour $h): ?float => $h->rain, $year->hours),
            'wind_m_s' => array_map(fn (Hour $h): ?float => $h->wind, $year->hours),
            'wind_from_deg' => array_map(fn (Hour $h): ?float => $h->windFrom, $year->hours),
            'sun_w_m2' => array_map(fn (Hour $h): ?float => $h->sun, $year->hours),
        ];

        return Written::without([
            'name' => $year->name,
            'latitude_deg' => $year->latitude,
            'hours' => array_filter($columns, fn (array $values): bool => ! in_array(null, $values, true)),
        ]);
    }
}
