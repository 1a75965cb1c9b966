<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Json\CoreData;
use Apron\Json\Node;

/**
 * Why one step must come before another: what lies under something is laid before it, a seal needs the unit, a coat
 * cures before it is fastened through. A partial order: two steps that no reason ties may be swapped, and both orders
 * are right.
 */
final class Reasons
{
    /**
     * @return list<array{before: int, after: int, why: string, inner: string, outer: string}> the reason codes of the
     *   text catalogue, and the pieces they speak of
     */
    public static function of(Detail $detail): array
    {
        $reasons = [];
        foreach ((new Layout($detail))->overlaps() as $overlap) {
            [$in, $out] = [$overlap->inner->patch->step, $overlap->outer->patch->step];
            if ($in !== $out) {
                // What lies under but comes later is tucked: the other must be there, its edge still open.
                $reasons[min($in, $out).'-'.max($in, $out)] ??= [
                    'before' => min($in, $out),
                    'after' => max($in, $out),
                    'why' => $in < $out ? 'order.lies-under' : 'order.tucked',
                    'inner' => $overlap->inner->piece->id,
                    'outer' => $overlap->outer->piece->id,
                ];
            }
        }
        $at = [];
        foreach ($detail->steps as $step) {
            $at[$step->does] = $step->number;
        }
        foreach (self::rules() as [$before, $after, $why]) {
            if (isset($at[$before], $at[$after]) && $at[$before] < $at[$after]) {
                $reasons["$at[$before]-$at[$after]"] ??= [
                    'before' => $at[$before],
                    'after' => $at[$after],
                    'why' => $why,
                    'inner' => '',
                    'outer' => '',
                ];
            }
        }
        usort($reasons, fn (array $a, array $b): int => [$a['after'], $a['before']] <=> [$b['after'], $b['before']]);

        return $reasons;
    }

    /**
     * What forbids a step to change places with the next: the reason that ties them, or null where both orders are
     * right.
     *
     * @return array{before: int, after: int, why: string, inner: string, outer: string}|null
     */
    public static function against(Detail $detail, int $step): ?array
    {
        foreach (self::of($detail) as $reason) {
            if ($reason['before'] === $step && $reason['after'] === $step + 1) {
                return $reason;
            }
        }

        return null;
    }

    /** @return list<array{string, string, string}> before, after and why, by what steps do */
    private static function rules(): array
    {
        /** @var list<array{string, string, string}>|null $rules */
        static $rules = null;

        return $rules ??= array_map(
            fn (Node $row): array => [
                $row->get('before')->text(),
                $row->get('after')->text(),
                $row->get('why')->text(),
            ],
            CoreData::read('figures/order')->get('rules')->items(1),
        );
    }
}
