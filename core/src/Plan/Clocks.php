<?php

declare(strict_types=1);

namespace Apron\Plan;

/** The clocks of everything that is laid and bears the sun for so long. */
final class Clocks
{
    /**
     * @param  array<string, float>  $limits  days in the sun by product, of those that have a limit
     * @return list<Clock> what must be covered soonest first
     */
    public static function of(Plan $plan, Schedule $schedule, array $limits): array
    {
        $coveredBy = [];
        foreach ($schedule->planned as $planned) {
            foreach ($planned->task->covers as $id) {
                // Of several that cover it the last to start leaves none of it open.
                $coveredBy[$id] = max($coveredBy[$id] ?? $planned->from, $planned->from);
            }
        }
        $clocks = [];
        foreach ($schedule->planned as $id => $planned) {
            $limit = $limits[$planned->task->product ?? ''] ?? null;
            if ($limit === null) {
                continue;
            }
            $covered = $coveredBy[$id] ?? null;
            $until = $covered ?? $plan->today;
            $clocks[] = new Clock(
                $planned->task,
                $limit,
                $planned->to,
                $planned->to + (int) floor($limit),
                $covered,
                $until === null ? null : max(0, $until - $planned->to),
            );
        }
        usort($clocks, fn (Clock $a, Clock $b): int => [$a->coverBy, $a->task->id] <=> [$b->coverBy, $b->task->id]);

        return $clocks;
    }
}
