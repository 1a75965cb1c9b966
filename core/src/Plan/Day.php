<?php

declare(strict_types=1);

namespace Apron\Plan;

/** Days as numbers and as they are written. */
final class Day
{
    private const SECONDS = 86400;

    /** @return int|null null where it is no date of the calendar, as `2027-02-30` */
    public static function of(string $date): ?int
    {
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $date, $m) !== 1) {
            return null;
        }

        return checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            ? intdiv((int) gmmktime(0, 0, 0, (int) $m[2], (int) $m[3], (int) $m[1]), self::SECONDS)
            : null;
    }

    public static function written(int $day): string
    {
        return gmdate('Y-m-d', $day * self::SECONDS);
    }

    /** 1 January to 12 December */
    public static function month(int $day): int
    {
        return (int) gmdate('n', $day * self::SECONDS);
    }
}
