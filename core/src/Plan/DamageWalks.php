<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Inspection\Check;
use Apron\Inspection\CheckOf;
use Apron\Inspection\Rhythm;
use Apron\Rules\RuleFigures;

/**
 * Walks along what stands open to the weather and to other trades, area by area, from the first evening on which
 * something is laid bare to the morning on which the last of it is covered.
 *
 * @phpstan-type Walk array{area: string, from: int, to: int|null, every_days: int}
 */
final class DamageWalks
{
    /**
     * @param  list<Clock>  $clocks
     * @return list<Walk> by area, in the order in which they open
     */
    public static function of(array $clocks): array
    {
        $every = (int) RuleFigures::of('plan')->figure('walk_days');
        $areas = [];
        foreach ($clocks as $clock) {
            $area = $clock->task->area ?? '';
            $walk = $areas[$area] ?? ['from' => $clock->exposedFrom, 'to' => $clock->covered];
            $isOpen = $walk['to'] === null || $clock->covered === null;
            $areas[$area] = [
                'area' => (string) $area,
                'from' => min($walk['from'], $clock->exposedFrom),
                'to' => $isOpen ? null : max($walk['to'], $clock->covered),
                'every_days' => $every,
            ];
        }
        // What is covered by the first look of its rhythm is seen when it is covered.
        $walks = array_filter(
            array_values($areas),
            fn (array $walk): bool => $walk['to'] === null || $every < $walk['to'] - $walk['from'],
        );
        usort($walks, fn (array $a, array $b): int => [$a['from'], $a['area']] <=> [$b['from'], $b['area']]);

        return $walks;
    }

    /**
     * @param  list<Clock>  $clocks
     * @return list<Check> a look for each area, read once a walk
     */
    public static function checks(array $clocks, ?int $today): array
    {
        return array_map(
            fn (array $walk): Check => new Check(
                id: 'plan.damage-walk.'.self::named($walk['area']),
                detail: 'plan',
                what: 'damage-walk',
                place: $walk['area'],
                step: 0,
                drawn: null,
                bounds: null,
                measured: null,
                figures: ['area' => $walk['area'] === '' ? 'all that is laid' : $walk['area']],
                of: CheckOf::Plan,
                rhythm: new Rhythm(
                    Day::written($walk['from']),
                    $walk['to'] === null ? null : Day::written($walk['to']),
                    $walk['every_days'],
                    $today === null ? null : Day::written($today),
                ),
            ),
            self::of($clocks),
        );
    }

    /** An area as part of an id: its words, and what tells two apart whose words are the same. */
    private static function named(string $area): string
    {
        $words = trim((string) preg_replace('/[^\p{L}\p{N}]+/u', '-', $area), '-');

        return mb_substr($words, 0, 40).'-'.substr(hash('sha256', $area), 0, 6);
    }
}
