<?php

declare(strict_types=1);

namespace Apron\Budget;

/**
 * How long and how much memory one computation may take. Long work looks at it as it goes and is cut off with a clear
 * answer, where a request that asks for too much would else hold up everybody.
 */
final class Deadline
{
    /** Share of the memory there is that a computation may use before it is cut off: what is left is for saying so. */
    private const MOST_MEMORY = 0.7;

    private static ?float $at = null;

    private static float $seconds = 0.0;

    /**
     * Runs something that has so many seconds; within another deadline the nearer of the two holds.
     *
     * @template T
     *
     * @param  callable(): T  $run
     * @return T
     *
     * @throws TakesTooLong
     */
    public static function within(float $seconds, callable $run): mixed
    {
        [$before, $asked] = [self::$at, self::$seconds];
        $at = microtime(true) + $seconds;
        if ($before === null || $at < $before) {
            [self::$at, self::$seconds] = [$at, $seconds];
        }
        try {
            return $run();
        } finally {
            [self::$at, self::$seconds] = [$before, $asked];
        }
    }

    /** @throws TakesTooLong once the time is over, or the memory nearly gone */
    public static function check(): void
    {
        if (self::$at === null) {
            return;
        }
        if (microtime(true) > self::$at) {
            throw new TakesTooLong(sprintf('more than %g s', self::$seconds));
        }
        $most = self::memoryLimit();
        if ($most > 0 && memory_get_usage() > self::MOST_MEMORY * $most) {
            throw new TakesTooLong(
                sprintf('more than %d MB of memory', intdiv((int) (self::MOST_MEMORY * $most), 1000000)),
            );
        }
    }

    private static function memoryLimit(): int
    {
        return ini_parse_quantity((string) ini_get('memory_limit'));
    }
}
