<?php

declare(strict_types=1);

namespace Apron\Plan;

/** What is to be done, in what order, on which days; tasks stand after those that they wait for. */
final readonly class Plan
{
    /** @var array<string, Task> by id, each after those that it waits for */
    public array $tasks;

    /** @var array<string, Done> by task */
    public array $done;

    /** @var array<int, DayWeather> by day */
    public array $forecast;

    /**
     * @param  non-empty-list<int>  $weekDays  1 Monday to 7 Sunday
     * @param  list<int>  $holidays
     * @param  list<Task>  $given  in the order of the file
     * @param  list<Done>  $done
     * @param  list<DayWeather>  $forecast
     *
     * @throws GoesRound where tasks wait for each other in a ring
     */
    public function __construct(
        public int $start,
        public array $weekDays,
        public array $holidays,
        public array $given,
        array $done = [],
        public ?int $today = null,
        array $forecast = [],
        /** the forecast is of the simulated station that ships with Apron */
        public bool $isSimulated = false,
    ) {
        $this->tasks = self::ordered($given);
        $this->done = array_column($done, null, 'task');
        $this->forecast = array_column($forecast, null, 'day');
    }

    /** @param  list<Task>  $tasks  the same, with other waits */
    public function with(array $tasks): self
    {
        return new self(
            $this->start,
            $this->weekDays,
            $this->holidays,
            $tasks,
            array_values($this->done),
            $this->today,
            array_values($this->forecast),
            $this->isSimulated,
        );
    }

    public function days(): WorkDays
    {
        return new WorkDays($this->weekDays, $this->holidays);
    }

    /**
     * @param  list<Task>  $tasks
     * @return array<string, Task>
     */
    private static function ordered(array $tasks): array
    {
        $left = array_column($tasks, null, 'id');
        $waiting = $follow = [];
        foreach ($left as $id => $task) {
            $before = array_unique(array_map(fn (Wait $wait): string => $wait->task, $task->after));
            $waiting[$id] = count($before);
            foreach ($before as $one) {
                $follow[$one][] = $id;
            }
        }
        $ready = array_keys(array_filter($waiting, fn (int $n): bool => $n === 0));
        $ordered = [];
        while ($ready !== []) {
            $next = [];
            foreach ($ready as $id) {
                $ordered[$id] = $left[$id];
                foreach ($follow[$id] ?? [] as $one) {
                    if (--$waiting[$one] === 0) {
                        $next[] = $one;
                    }
                }
            }
            $ready = $next;
        }
        $ring = array_diff_key($left, $ordered);
        if ($ring !== []) {
            throw new GoesRound(array_map(strval(...), array_keys($ring)));
        }

        return $ordered;
    }
}
