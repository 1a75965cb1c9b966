<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** The order list: by delivery, and against the order as it was last sent out. */
final readonly class Orders
{
    /** @param  list<Amount>  $amounts */
    public function __construct(private Takeoff $takeoff, private array $amounts)
    {
    }

    /**
     * Whole units as they are needed, delivery after delivery: what is left of one is used by the next. What no part
     * says where it is for comes with the first; parts in no delivery come last.
     *
     * @return list<array{id: string, title: string, day: string|null, lines: list<array{material: string,
     *   what: string, unit: string, holds: float, count: int}>}>
     */
    public function deliveries(): array
    {
        $given = $this->takeoff->deliveries;
        if ($given === []) {
            return [];
        }
        $lines = array_fill(0, count($given) + 1, []);
        foreach ($this->amounts as $amount) {
            $before = 0;
            $share = $amount->by === [] ? 1.0 : 0.0;
            $total = array_sum($amount->by);
            foreach ([...$given, null] as $i => $delivery) {
                foreach ($amount->by as $part => $gross) {
                    $share += in_array($part, $delivery->parts ?? [], true) ? $gross / $total : 0.0;
                }
                $reached = $delivery === null ? $amount->count : (int) ceil($share * $amount->count - 1e-6);
                $reached = min($amount->count, $reached);
                if ($reached > $before) {
                    $lines[$i][] = self::line($amount, $reached - $before);
                }
                $before = max($before, $reached);
            }
        }
        $rows = [];
        foreach ([...$given, new Delivery('rest', '', [])] as $i => $delivery) {
            if ($i < count($given) || $lines[$i] !== []) {
                $rows[] = [
                    'id' => $delivery->id,
                    'title' => $delivery->title,
                    'day' => $delivery->day,
                    'lines' => $lines[$i],
                ];
            }
        }

        return $rows;
    }

    /** @return array{material: string, what: string, unit: string, holds: float, count: int} */
    private static function line(Amount $amount, int $count): array
    {
        return [
            'material' => $amount->material,
            'what' => $amount->counted->value,
            'unit' => $amount->unit,
            'holds' => round($amount->holds, 4),
            'count' => $count,
        ];
    }

    /**
     * What has changed since the order was sent out.
     *
     * @return list<array{material: string, what: string, unit: string, holds: float, was: int, now: int}>
     */
    public function changes(): array
    {
        if ($this->takeoff->ordered === []) {
            return [];
        }
        $rows = [];
        foreach ($this->takeoff->ordered as $line) {
            $key = "$line->material $line->what $line->unit ".round($line->holds, 3);
            $rows[$key] = [
                'material' => $line->material,
                'what' => $line->what,
                'unit' => $line->unit,
                'holds' => $line->holds,
                'was' => $line->count,
                'now' => 0,
            ];
        }
        foreach ($this->amounts as $amount) {
            $key = "$amount->material {$amount->counted->value} $amount->unit ".round($amount->holds, 3);
            ['material' => $material, 'what' => $what, 'unit' => $unit, 'holds' => $holds] = self::line($amount, 0);
            $was = $rows[$key]['was'] ?? 0;
            $rows[$key] = compact('material', 'what', 'unit', 'holds', 'was') + ['now' => $amount->count];
        }

        return array_values(array_filter($rows, fn (array $row): bool => $row['was'] !== $row['now']));
    }
}
