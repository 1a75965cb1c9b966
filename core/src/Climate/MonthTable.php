<?php

declare(strict_types=1);

namespace Apron\Climate;

/**
 * Reads twelve months from a plain table, as a spreadsheet or a weather service gives them: a line for each month or a
 * line for each figure, cells parted by comma, semicolon or tab; words at the front of a line are passed over.
 */
final class MonthTable
{
    /** @throws ClimateFileRefused */
    public static function read(string $text, string $name): Climate
    {
        $rows = [];
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $i => $line) {
            $cells = array_map(
                trim(...),
                preg_split(str_contains($line, "\t") ? '/\t/' : (str_contains($line, ';') ? '/;/' : '/,/'), $line) ?:
                [],
            );
            // A decimal comma is read only where commas do not part the cells.
            $numbers = array_values(
                array_filter(
                    array_map(fn (string $cell): string => strtr($cell, [',' => '.', '−' => '-']), $cells),
                    is_numeric(...),
                ),
            );
            if ($numbers === []) {
                continue;
            }
            $rows[] = ['line' => $i + 1, 'cells' => array_map(floatval(...), $numbers)];
        }
        if (count($rows) === 2 && count($rows[0]['cells']) === 12 && count($rows[1]['cells']) === 12) {
            $rows = array_map(
                fn (int $m): array => [
                    'line' => $rows[0]['line'],
                    'cells' => [$rows[0]['cells'][$m], $rows[1]['cells'][$m]],
                ],
                range(0, 11),
            );
        }
        if (count($rows) !== 12) {
            throw new ClimateFileRefused(
                $rows === [] ? 1 : end($rows)['line'],
                count($rows).' lines of figures',
                'twelve lines, one a month from January: mean °C, % relative humidity, and if wanted mm of rain',
            );
        }

        if (self::numbered($rows)) {
            $rows = array_map(
                fn (array $row): array => ['line' => $row['line'], 'cells' => array_slice($row['cells'], 1)],
                $rows,
            );
        }

        return new Climate($name, array_map(self::month(...), $rows));
    }

    /**
     * A first column of month numbers is the calendar, not weather: all twelve of them, for a January of 1.0 °C is
     * weather.
     *
     * @param  list<array{line: int, cells: non-empty-list<float>}>  $rows
     */
    private static function numbered(array $rows): bool
    {
        foreach ($rows as $i => $row) {
            if (count($row['cells']) < 3 || $row['cells'][0] !== $i + 1.0) {
                return false;
            }
        }

        return true;
    }

    /** @param  array{line: int, cells: list<float>}  $row */
    private static function month(array $row): Month
    {
        $cells = $row['cells'];
        if (count($cells) < 2) {
            throw new ClimateFileRefused(
                $row['line'],
                'one figure',
                'a mean temperature in °C and a relative humidity in %',
            );
        }
        if ($cells[0] < -70 || $cells[0] > 60) {
            throw new ClimateFileRefused($row['line'], "$cells[0]", 'a mean temperature from -70 to 60 °C');
        }
        if ($cells[1] <= 0 || $cells[1] > 100) {
            throw new ClimateFileRefused($row['line'], "$cells[1]", 'a relative humidity above 0 and up to 100 %');
        }

        return new Month($cells[0], $cells[1], isset($cells[2]) && $cells[2] >= 0 ? $cells[2] : null);
    }
}
