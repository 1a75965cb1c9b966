<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Material\Material;

/**
 * Waits for something to cure, by the air of the day on which it is laid. When that is follows from the waits before
 * it: scheduled, reckoned and scheduled again until no wait changes.
 */
final class Curing
{
    private const ROUNDS = 8;

    /** @param  array<string, Material>  $products  by id */
    public static function settled(Plan $plan, array $products, Outlook $outlook): Plan
    {
        $waits = array_merge(...array_map(fn (Task $task): array => $task->after, $plan->given));
        if (array_filter($waits, fn (Wait $wait): bool => $wait->until !== null) === []) {
            return $plan;
        }
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $schedule = new Schedule($plan);
            $changes = false;
            $tasks = [];
            foreach ($plan->given as $task) {
                $after = array_map(function (Wait $wait) use ($schedule, $products, $outlook, &$changes): Wait {
                    $hours = self::hours($wait, $schedule, $products, $outlook);
                    $changes = $changes || abs($hours - $wait->hours) > 0.01;

                    return $wait->lasting($hours);
                }, $task->after);
                $tasks[] = $task->waiting($after);
            }
            $plan = $plan->with($tasks);
            if (! $changes) {
                break;
            }
        }

        return $plan;
    }

    /** @param  array<string, Material>  $products */
    private static function hours(Wait $wait, Schedule $schedule, array $products, Outlook $outlook): float
    {
        if ($wait->until === null) {
            return $wait->hours;
        }
        $laid = $schedule->planned[$wait->task];
        $product = $products[$laid->task->product ?? ''] ?? null;

        return $product === null ? 0.0 : CureTime::hours($product, $wait->until, ...$outlook->air($laid->to));
    }

    /**
     * @param  array<string, Material>  $products
     * @return list<array{task: string, waits_for: string, until: string, hours: float, temperature_c: float,
     *   rh_pct: float}> each such wait, with the air that it was reckoned in
     */
    public static function told(Plan $plan, Schedule $schedule, array $products, Outlook $outlook): array
    {
        $rows = [];
        foreach ($plan->given as $task) {
            foreach ($task->after as $wait) {
                if ($wait->until !== null) {
                    [$celsius, $humidity] = $outlook->air($schedule->planned[$wait->task]->to);
                    $rows[] = [
                        'task' => $task->id,
                        'waits_for' => $wait->task,
                        'until' => $wait->until->value,
                        'hours' => round(self::hours($wait, $schedule, $products, $outlook), 1),
                        'temperature_c' => round($celsius, 1),
                        'rh_pct' => round($humidity),
                    ];
                }
            }
        }

        return $rows;
    }
}
