<?php

declare(strict_types=1);

namespace Apron\Plan;

/** Which days are worked. Days are numbers, counted from the 1st of January 1970, a Thursday. */
final readonly class WorkDays
{
    /** @var array<int, bool> by day of the week, 1 Monday to 7 Sunday */
    private array $week;

    /** @var array<int, int> holidays */
    private array $holidays;

    /**
     * @param  non-empty-list<int>  $days  of the week, 1 Monday to 7 Sunday
     * @param  list<int>  $holidays
     */
    public function __construct(array $days, array $holidays)
    {
        $week = array_fill(1, 7, false);
        foreach ($days as $day) {
            $week[$day] = true;
        }
        [$this->week, $this->holidays] = [$week, array_combine($holidays, $holidays)];
    }

    /** 1 Monday to 7 Sunday */
    private static function ofWeek(int $day): int
    {
        return ((($day + 3) % 7) + 7) % 7 + 1;
    }

    public function isWorked(int $day): bool
    {
        return $this->week[self::ofWeek($day)] && ! isset($this->holidays[$day]);
    }

    /** The first that is worked, that day itself or later. */
    public function from(int $day): int
    {
        while (! $this->isWorked($day)) {
            $day++;
        }

        return $day;
    }

    /** The last that is worked, that day itself or earlier. */
    public function until(int $day): int
    {
        while (! $this->isWorked($day)) {
            $day--;
        }

        return $day;
    }

    /** The last of so many days of work, of which the first is a worked one. */
    public function last(int $first, int $days): int
    {
        for ($n = 1; $n < $days; $n++) {
            $first = $this->from($first + 1);
        }

        return $first;
    }

    /** The first of so many days of work, of which the last is a worked one. */
    public function first(int $last, int $days): int
    {
        for ($n = 1; $n < $days; $n++) {
            $last = $this->until($last - 1);
        }

        return $last;
    }

    /** How many are worked after one day, up to and with another. */
    public function between(int $after, int $upTo): int
    {
        if ($upTo <= $after) {
            return 0;
        }
        $weeks = intdiv($upTo - $after, 7);
        $count = $weeks * count(array_filter($this->week));
        for ($day = $after + 7 * $weeks + 1; $day <= $upTo; $day++) {
            $count += $this->week[self::ofWeek($day)] ? 1 : 0;
        }
        foreach ($this->holidays as $day) {
            $count -= $day > $after && $day <= $upTo && $this->week[self::ofWeek($day)] ? 1 : 0;
        }

        return $count;
    }
}
