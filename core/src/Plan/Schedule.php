<?php

declare(strict_types=1);

namespace Apron\Plan;

/**
 * Each task as early as what it waits for lets it be, and how far its start can slip: the critical path method, forward
 * and back, on working days. Time grows with the number of waits and with the days between first and last.
 */
final readonly class Schedule
{
    /** @var array<string, Planned> by task, in the order of the plan's file */
    public array $planned;

    /** the last day of all; the start of the plan where it has no task */
    public int $finish;

    public function __construct(Plan $plan)
    {
        $days = $plan->days();
        $early = self::early($plan, $days);
        $this->finish = $early === [] ? $plan->start : max(array_column($early, 1));
        $late = self::late($plan, $days, $early, $this->finish);
        $planned = [];
        foreach ($plan->given as $task) {
            [$from, $to] = $early[$task->id];
            $isDone = ($plan->done[$task->id]->to ?? null) !== null;
            $planned[$task->id] = new Planned(
                $task,
                $from,
                $to,
                // By its last day: of one that is under way that is what can still slip.
                $isDone ? 0 : $days->between($to, $late[$task->id][1]),
                $isDone,
                isset($plan->done[$task->id]) ? null : self::because($task, $from, $early, $days),
            );
        }
        $this->planned = $planned;
    }

    /**
     * What it waits for last, where that and no date settles its first day.
     *
     * @param  array<string, array{int, int}>  $early
     */
    private static function because(Task $task, int $from, array $early, WorkDays $days): ?string
    {
        foreach ($task->after as $wait) {
            if ($days->from($wait->after(...$early[$wait->task])) === $from) {
                return $wait->task;
            }
        }

        return null;
    }

    /** @return array<string, array{int, int}> first and last day by task */
    private static function early(Plan $plan, WorkDays $days): array
    {
        $early = [];
        foreach ($plan->tasks as $id => $task) {
            $done = $plan->done[$id] ?? null;
            if ($done?->to !== null) {
                $early[$id] = [$done->from, $done->to];

                continue;
            }
            if ($done !== null) {
                $now = $plan->today ?? $plan->start;
                $worked = $days->between($done->from - 1, $now - 1);
                $early[$id] = [$done->from, $days->last($days->from($now), max(1, $task->days - $worked))];

                continue;
            }
            $from = max($plan->start, $plan->today ?? $plan->start, $task->notBefore ?? $plan->start);
            foreach ($task->after as $wait) {
                $from = max($from, $wait->after(...$early[$wait->task]));
            }
            $from = $days->from($from);
            $early[$id] = [$from, $days->last($from, $task->days)];
        }

        return $early;
    }

    /**
     * @param  array<string, array{int, int}>  $early
     * @return array<string, array{int, int}> latest first and last day by task that leave the finish as it is
     */
    private static function late(Plan $plan, WorkDays $days, array $early, int $finish): array
    {
        $lastDay = $firstDay = [];
        $late = [];
        foreach (array_reverse($plan->tasks, true) as $id => $task) {
            $to = $days->until(min($finish, $lastDay[$id] ?? $finish));
            $from = $days->first($to, $task->days);
            // What waits for its start binds that, and so its end.
            if (isset($firstDay[$id]) && $firstDay[$id] < $from) {
                $from = $days->until($firstDay[$id]);
                $to = $days->last($from, $task->days);
            }
            $late[$id] = [$from, $to];
            if (isset($plan->done[$id])) {
                // Begun: it waits for nothing any more.
                $late[$id] = [$early[$id][0], max($early[$id][1], $to)];

                continue;
            }
            foreach ($task->after as $wait) {
                $bound = $wait->before($from);
                if ($wait->fromStart) {
                    $firstDay[$wait->task] = min($firstDay[$wait->task] ?? $bound, $bound);
                } else {
                    $lastDay[$wait->task] = min($lastDay[$wait->task] ?? $bound, $bound);
                }
            }
        }

        return $late;
    }
}
