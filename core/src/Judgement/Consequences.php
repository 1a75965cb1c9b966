<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Rules\Finding;
use Apron\Rules\Severity;

/**
 * One error, one finding: what follows from a cause that is told stands under it, and the cause weighs as much as the
 * worst that comes of it.
 */
final class Consequences
{
    /** the beginning of a cause’s code => beginnings of what follows from it, the first cause that fits first */
    private const FOLLOW = [
        'drying.built-in-shut' => ['drying.reserve', 'drying.shut-in'],
        'practice.retarder-wrong-side' => [
            'year.', 'humid.', 'practice.warm-air', 'drying.reserve', 'drying.shut-in',
            'practice.inward-drive', 'drying.leak-too-much',
        ],
        'year.accumulates' => [
            'humid.', 'practice.warm-air', 'drying.', 'practice.leak-condenses', 'practice.plane-below', 'steady.',
            'practice.exterior-r-short', 'practice.no-retarder', 'practice.roof-r-short', 'practice.vented',
        ],
        'year.over' => [
            'humid.', 'practice.warm-air', 'drying.', 'practice.leak-condenses', 'practice.plane-below', 'steady.',
            'practice.exterior-r-short', 'practice.no-retarder', 'practice.roof-r-short', 'practice.vented',
        ],
        'drying.reserve-short' => ['drying.leak-too-much', 'humid.', 'practice.closed-foam'],
        'humid.mould' => ['practice.warm-air', 'year.dries', 'drying.leak-too-much'],
        'practice.reservoir-undrained' => ['drying.leak-too-much', 'practice.inward-drive'],
        'practice.face-sealed' => ['drying.leak-too-much'],
        'surface.wet' => ['surface.mould'],
    ];

    /**
     * @param  list<Finding>  $findings  of one assembly
     * @return list<Finding> the same, each consequence saying what it stands under
     */
    public static function under(array $findings): array
    {
        foreach (self::FOLLOW as $cause => $followers) {
            foreach ($findings as $c => $finding) {
                if (! str_starts_with($finding->code, $cause) || $finding->under !== null || ! self::tells($finding)) {
                    continue;
                }
                foreach ($findings as $f => $other) {
                    if ($f !== $c && $other->under === null && self::follows($other, $followers)) {
                        $findings[$f] = $other->under($finding->key());
                        $findings[$c] = $finding = $finding->atLeast($other->severity);
                    }
                }
            }
        }

        return array_values($findings);
    }

    private static function tells(Finding $finding): bool
    {
        return $finding->severity->rank() <= Severity::Caution->rank();
    }

    /** @param  list<string>  $codes */
    private static function follows(Finding $finding, array $codes): bool
    {
        if ($finding->severity === Severity::Pass) {
            return false;
        }
        foreach ($codes as $code) {
            if (str_starts_with($finding->code, $code)) {
                return true;
            }
        }

        return false;
    }
}
