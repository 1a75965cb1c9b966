<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/**
 * Amounts gathered: what is of one material and bought in one unit is one line. Whole units are rounded up once, over
 * all places that share them; what has been packed brings its own count.
 *
 * @phpstan-type Line array{material: string, counted: Counted, net: float, gross: float, unit: string, holds: float,
 *   loose: float, from: array<string, true>, by: array<string, float>, why: array<string, float|int|string>}
 */
final class Amounts
{
    /** @var array<string, Line> */
    private array $lines = [];

    public function add(Bought $bought): void
    {
        $key = $bought->key();
        $this->lines[$key] ??= [
            'material' => $bought->material,
            'counted' => $bought->counted,
            'unit' => $bought->unit,
            'holds' => $bought->holds,
            'why' => $bought->why,
            'net' => 0.0,
            'gross' => 0.0,
            'loose' => 0.0,
            'from' => [],
            'by' => [],
        ];
        $line = &$this->lines[$key];
        $line['net'] += $bought->net;
        $line['gross'] += $bought->gross;
        $line['loose'] += $bought->isPacked ? 0.0 : $bought->gross;
        $line['from'][$bought->from] = true;
        foreach ($bought->by as $part => $share) {
            $line['by'][$part] = ($line['by'][$part] ?? 0.0) + $share * $bought->gross;
        }
    }

    /**
     * @param  array<string, array{count: int, least: int}>  $packed  by line, where what is cut has been packed
     * @return list<Amount> by material
     */
    public function all(array $packed = []): array
    {
        $amounts = [];
        foreach ($this->lines as $key => $line) {
            $loose = (int) ceil($line['loose'] / $line['holds'] - 1e-6);
            $count = ($packed[$key]['count'] ?? 0) + $loose;
            $amounts[] = new Amount(
                $line['material'],
                $line['counted'],
                $line['net'],
                $line['gross'],
                $line['unit'],
                $line['holds'],
                max($line['gross'] > 0 ? 1 : 0, $count),
                array_map(strval(...), array_keys($line['from'])),
                $line['by'],
                $line['why'] + (isset($packed[$key]) ? ['least' => $packed[$key]['least'] + $loose] : []),
            );
        }
        usort($amounts, fn (Amount $a, Amount $b): int => strnatcmp($a->key(), $b->key()));

        return $amounts;
    }
}
