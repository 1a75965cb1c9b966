<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;

/** The plan as `apron-project/1` writes it. */
final class PlanFormat
{
    private const MOST_TASKS = 5000;

    private const MOST_DAYS = 2000;

    /** what a forecast of the simulated station is marked with */
    private const STATION = 'simulated-station';

    private const MOST_HOURS = 24.0 * 365;

    /** @throws FileRefused */
    public static function read(Node $node): Plan
    {
        $node->object(
            ['start', 'work_days', 'holidays', 'tasks', 'done', 'today', 'forecast', 'forecast_by'],
            ['start'],
        );
        $tasks = array_map(
            fn (Node $row): Task => self::task($row),
            $node->optional('tasks')?->listOf(self::MOST_TASKS)->items() ?? [],
        );
        self::demandKnown($node, $tasks);
        $holidays = array_map(
            fn (Node $day): int => self::day($day),
            $node->optional('holidays')?->listOf(self::MOST_DAYS)->items() ?? [],
        );
        $weekDays = self::weekDays($node->optional('work_days'));
        $today = $node->optional('today');
        try {
            return new Plan(
                self::day($node->get('start')),
                $weekDays,
                $holidays,
                $tasks,
                self::done($node->optional('done'), $tasks),
                $today === null ? null : self::day($today),
                self::forecast($node->optional('forecast')),
                $node->optional('forecast_by')?->word(['typed', self::STATION]) === self::STATION,
            );
        } catch (GoesRound $ring) {
            foreach ($node->get('tasks')->items() as $row) {
                if (in_array($row->named(), $ring->tasks, true)) {
                    $row->get('after')->refuse(
                        'tasks that do not wait for it in turn',
                        'a ring of '.implode(', ', array_slice($ring->tasks, 0, 8)),
                    );
                }
            }
            throw $ring;
        }
    }

    private static function day(Node $node): int
    {
        return Day::of($node->text(10)) ?? $node->refuse('a date, as 2027-04-01');
    }

    /** @return non-empty-list<int> */
    private static function weekDays(?Node $node): array
    {
        $days = array_map(fn (Node $day): int => $day->integer(1, 7), $node?->items(1, 7) ?? []);
        if ($node !== null && count(array_unique($days)) < count($days)) {
            $node->refuse('each day of the week once, 1 Monday to 7 Sunday');
        }

        return $days === [] ? [1, 2, 3, 4, 5] : $days;
    }

    private static function task(Node $row): Task
    {
        $row->object(
            [
                'id',
                'title',
                'area',
                'days',
                'product',
                'covers',
                'hold',
                'after',
                'not_before',
                'needs_dry',
                'details',
                'steps',
            ],
            ['id', 'title', 'days'],
        );
        $notBefore = $row->optional('not_before');

        return new Task(
            id: $row->get('id')->id(),
            title: $row->get('title')->text(),
            days: $row->get('days')->integer(1, self::MOST_DAYS),
            after: array_map(
                fn (Node $wait): Wait => self::wait($wait),
                $row->optional('after')?->listOf(self::MOST_TASKS)->items() ?? [],
            ),
            area: $row->optional('area')?->text(),
            product: $row->optional('product')?->id(),
            covers: array_map(fn (Node $id): string => $id->id(), $row->optional('covers')?->items() ?? []),
            isHold: $row->optional('hold')?->boolean() ?? false,
            notBefore: $notBefore === null ? null : self::day($notBefore),
            needsDry: $row->optional('needs_dry')?->boolean() ?? false,
            details: array_map(fn (Node $id): string => $id->id(), $row->optional('details')?->items() ?? []),
            steps: self::steps($row->optional('steps')),
        );
    }

    /** @return array{int, int}|null */
    private static function steps(?Node $node): ?array
    {
        if ($node === null) {
            return null;
        }
        [$from, $to] = array_map(fn (Node $step): int => $step->integer(0, 1000), $node->items(2, 2)) + [0, 0];
        if ($to < $from) {
            $node->refuse('two numbers of steps, the first no later than the last');
        }

        return [$from, $to];
    }

    /** @return list<DayWeather> each day once, in the order of the days */
    private static function forecast(?Node $node): array
    {
        $days = [];
        foreach ($node?->listOf(self::MOST_DAYS)->items() ?? [] as $row) {
            $needed = ['date', 'low_c', 'high_c', 'rain_mm'];
            $row->object([...$needed, 'rh_pct', 'wind_m_s'], $needed);
            $day = self::day($row->get('date'));
            if (isset($days[$day])) {
                $row->get('date')->refuse('each day once');
            }
            $low = $row->get('low_c')->between(-80.0, 60.0, '°C');
            $high = $row->get('high_c')->between(-80.0, 70.0, '°C');
            if ($high < $low) {
                $row->get('high_c')->refuse('a temperature that is not below the coldest of the day');
            }
            $days[$day] = new DayWeather(
                $day,
                $low,
                $high,
                $row->get('rain_mm')->between(0.0, 2000.0, 'mm'),
                $row->optional('rh_pct')?->between(0.0, 100.0, '%'),
                $row->optional('wind_m_s')?->between(0.0, 120.0, 'm/s'),
            );
        }
        ksort($days);

        return array_values($days);
    }

    private static function wait(Node $node): Wait
    {
        $node->object(['task', 'from', 'wait_h', 'until'], ['task']);
        $until = $node->optional('until');
        if ($until !== null && ($node->has('wait_h') || $node->has('from'))) {
            $until->refuse('a wait by hours or one until something has cured, not both');
        }

        return new Wait(
            $node->get('task')->id(),
            ($node->optional('from')?->word(['finish', 'start']) ?? 'finish') === 'start',
            $node->optional('wait_h')?->between(0.0, self::MOST_HOURS, 'h') ?? 0.0,
            $until === null ? null : Cures::from($until->word(array_column(Cures::cases(), 'value'))),
        );
    }

    /**
     * Each id once, and none spoken of that is not there.
     *
     * @param  list<Task>  $tasks
     */
    private static function demandKnown(Node $node, array $tasks): void
    {
        $rows = $node->optional('tasks')?->items() ?? [];
        $ids = [];
        foreach ($tasks as $i => $task) {
            if (isset($ids[$task->id])) {
                $rows[$i]->get('id')->refuse('an id that no other task has');
            }
            $ids[$task->id] = true;
        }
        foreach ($tasks as $i => $task) {
            foreach ($task->after as $j => $wait) {
                if (! isset($ids[$wait->task])) {
                    $rows[$i]->get('after')->items()[$j]->get('task')->refuse('the id of a task of the plan');
                }
            }
            foreach ($task->covers as $j => $covered) {
                if (! isset($ids[$covered]) || $covered === $task->id) {
                    $rows[$i]->get('covers')->items()[$j]->refuse('the id of another task of the plan');
                }
            }
        }
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<Done>
     */
    private static function done(?Node $node, array $tasks): array
    {
        $ids = array_column($tasks, 'id', 'id');
        $done = [];
        foreach ($node?->listOf(self::MOST_TASKS)->items() ?? [] as $row) {
            $row->object(['task', 'from', 'to'], ['task', 'from']);
            $task = $row->get('task')->id();
            if (! isset($ids[$task])) {
                $row->get('task')->refuse(isset($done[$task]) ? 'a task once' : 'the id of a task of the plan');
            }
            unset($ids[$task]);
            $from = self::day($row->get('from'));
            $to = $row->optional('to');
            $last = $to === null ? null : self::day($to);
            if ($to !== null && $last < $from) {
                $to->refuse('a day that is not before its first, '.Day::written($from));
            }
            $done[$task] = new Done($task, $from, $last);
        }

        return array_values($done);
    }

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        return Written::without([
            'start' => Day::written($plan->start),
            'work_days' => $plan->weekDays,
            'holidays' => array_map(Day::written(...), $plan->holidays),
            'tasks' => array_map(self::writeTask(...), $plan->given),
            'done' => array_values(
                array_map(
                    fn (Done $done): array => Written::without([
                        'task' => $done->task,
                        'from' => Day::written($done->from),
                        'to' => $done->to === null ? null : Day::written($done->to),
                    ]),
                    $plan->done,
                ),
            ),
            'today' => $plan->today === null ? null : Day::written($plan->today),
            'forecast' => array_map(
                fn (DayWeather $day): array => $day->toArray(),
                array_values($plan->forecast),
            ),
            'forecast_by' => $plan->isSimulated ? self::STATION : null,
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeTask(Task $task): array
    {
        return Written::without([
            'id' => $task->id,
            'title' => $task->title,
            'area' => $task->area,
            'days' => $task->days,
            'product' => $task->product,
            'covers' => $task->covers,
            'hold' => $task->isHold ? true : null,
            'after' => array_map(
                fn (Wait $wait): array => Written::without([
                    'task' => $wait->task,
                    'from' => $wait->fromStart ? 'start' : null,
                    'wait_h' => $wait->until === null && $wait->hours > 0 ? $wait->hours : null,
                    'until' => $wait->until?->value,
                ]),
                $task->after,
            ),
            'not_before' => $task->notBefore === null ? null : Day::written($task->notBefore),
            'needs_dry' => $task->needsDry ? true : null,
            'details' => $task->details,
            'steps' => $task->steps,
        ]);
    }
}
