<?php

declare(strict_types=1);

namespace Apron\Climate;

/**
 * Reads the open hourly weather format EPW: eight lines of header and 8760 of data, comma separated. Columns by the
 * format's own description (Auxiliary Programs documentation of its makers; from memory): 7 dry bulb °C, 8 dew point
 * °C, 9 relative humidity %, 14 global horizontal Wh/m², 21 wind direction, 22 wind speed m/s, 34 liquid precipitation
 * depth mm. What each column writes for “missing” is left out, and the column with it.
 */
final class EpwReader
{
    private const HEADER = [
        'LOCATION',
        'DESIGN CONDITIONS',
        'TYPICAL/EXTREME PERIODS',
        'GROUND TEMPERATURES',
        'HOLIDAYS/DAYLIGHT SAVINGS',
        'COMMENTS 1',
        'COMMENTS 2',
        'DATA PERIODS',
    ];

    /** @throws ClimateFileRefused with the line and what was wrong with it */
    public static function read(string $text): HourlyYear
    {
        $lines = preg_split('/\r\n|\r|\n/', rtrim($text));
        if ($lines === false || $lines === ['']) {
            throw new ClimateFileRefused(1, 'the file is empty', 'the eight header lines of an EPW file');
        }
        foreach (self::HEADER as $i => $word) {
            if (! str_starts_with(strtoupper($lines[$i] ?? ''), $word)) {
                throw new ClimateFileRefused(
                    $i + 1,
                    self::shown($lines[$i] ?? 'the end of the file'),
                    "a line that begins with $word",
                );
            }
        }
        $name = trim(explode(',', $lines[0])[1] ?? '');
        $hours = [];
        for ($i = count(self::HEADER); $i < count($lines); $i++) {
            if (count($hours) === HourlyYear::HOURS) {
                throw new ClimateFileRefused(
                    $i + 1,
                    'more lines of data than hours',
                    HourlyYear::HOURS.' lines of data; a leap day must be taken out',
                );
            }
            $hours[] = self::hour(explode(',', $lines[$i]), $i + 1, count($hours));
        }
        if (count($hours) < HourlyYear::HOURS) {
            throw new ClimateFileRefused(
                count($lines),
                'the end of the file after '.count($hours).' hours',
                HourlyYear::HOURS.' lines of data',
            );
        }

        $latitude = trim(explode(',', $lines[0])[6] ?? '');

        return new HourlyYear(
            $name === '' ? 'weather file' : mb_substr($name, 0, 200),
            $hours,
            is_numeric($latitude) && abs((float) $latitude) <= 90 ? (float) $latitude : null,
        );
    }

    /** @param  list<string>  $cells */
    private static function hour(array $cells, int $line, int $index): Hour
    {
        if (count($cells) < 22) {
            throw new ClimateFileRefused(
                $line,
                count($cells).' columns',
                'at least 22 columns, 35 in a whole file',
            );
        }
        [$month, $hour] = [
            self::number($cells, 1, $line, 1, 12, 'a month'),
            self::number($cells, 3, $line, 1, 24, 'an hour'),
        ];
        if ((int) $month !== self::monthOf($index) || (int) $hour !== ($index % 24) + 1) {
            throw new ClimateFileRefused(
                $line,
                "month $cells[1], hour $cells[3]",
                'month '.
                    self::monthOf($index).
                    ', hour '.
                    (($index % 24) + 1).
                    ': hours in order from the first of January',
            );
        }
        $celsius = self::number($cells, 6, $line, -70, 70, 'a dry bulb temperature in °C');
        $humidity = self::number($cells, 8, $line, 0, 110, 'a relative humidity in %');

        return new Hour(
            $celsius,
            (min(100.0, max(0.1, $humidity)) / 100) * Air::saturation($celsius),
            isset($cells[33]) ? self::unless($cells, 33, 999, $line) : null,
            self::unless($cells, 21, 999, $line),
            self::unless($cells, 20, 999, $line),
            self::unless($cells, 13, 9999, $line),
        );
    }

    /** @param  list<string>  $cells */
    private static function number(
        array $cells,
        int $column,
        int $line,
        float $least,
        float $most,
        string $what,
    ): float {
        $cell = trim($cells[$column] ?? '');
        if (! is_numeric($cell) || ! is_finite((float) $cell) || (float) $cell < $least || (float) $cell > $most) {
            throw new ClimateFileRefused(
                $line,
                'column '.($column + 1).' is '.self::shown($cell),
                "$what from $least to $most",
            );
        }

        return (float) $cell;
    }

    /** @param  list<string>  $cells */
    private static function unless(array $cells, int $column, float $missing, int $line): ?float
    {
        $value = self::number($cells, $column, $line, 0, 1e5, 'a number');

        return $value >= $missing ? null : $value;
    }

    private static function monthOf(int $hour): int
    {
        $day = intdiv($hour, 24);
        foreach (Month::DAYS as $m => $days) {
            if ($day < $days) {
                return $m + 1;
            }
            $day -= $days;
        }

        throw new \LogicException;
    }

    private static function shown(string $cell): string
    {
        return trim($cell) === '' ? 'nothing' : '“'.mb_strimwidth(trim(mb_scrub($cell)), 0, 40, '…').'”';
    }
}
