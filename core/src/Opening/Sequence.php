<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Json\CoreData;
use Apron\Json\Node;

/**
 * The steps of several choices put into one order. What must come before what is a partial order, with its reasons in
 * `core/data/figures/order.json`; where it leaves two steps free, they come in the order that is usual in the trade.
 */
final class Sequence
{
    /**
     * @param  list<string>  $steps  what each does
     * @return list<string>
     */
    public static function of(array $steps): array
    {
        $usual = self::usual();
        $left = array_values(array_unique($steps));
        foreach ($left as $does) {
            if (! isset($usual[$does])) {
                throw new \LogicException("no place in the order is said of $does");
            }
        }
        usort($left, fn (string $a, string $b): int => $usual[$a] <=> $usual[$b]);
        $order = [];
        while ($left !== []) {
            $next = self::free($left);
            $order[] = $next;
            $left = array_values(array_diff($left, [$next]));
        }

        return $order;
    }

    /**
     * The first, as is usual, that nothing which is left must come before.
     *
     * @param  non-empty-list<string>  $left
     */
    private static function free(array $left): string
    {
        foreach ($left as $does) {
            if (array_intersect(self::before()[$does] ?? [], $left) === []) {
                return $does;
            }
        }
        throw new \LogicException('each of these waits for another: '.implode(', ', $left));
    }

    /** @return array<string, int> by what a step does */
    private static function usual(): array
    {
        /** @var array<string, int>|null $usual */
        static $usual = null;

        return $usual ??= array_flip(
            array_map(
                fn (Node $does): string => $does->id(),
                CoreData::read('figures/order')->get('usual')->items(1),
            ),
        );
    }

    /** @return array<string, list<string>> what must come before a step, by what it does */
    private static function before(): array
    {
        /** @var array<string, list<string>>|null $before */
        static $before = null;
        if ($before === null) {
            $before = [];
            foreach (CoreData::read('figures/order')->get('rules')->items(1) as $rule) {
                $before[$rule->get('after')->id()][] = $rule->get('before')->id();
            }
        }

        return $before;
    }
}
