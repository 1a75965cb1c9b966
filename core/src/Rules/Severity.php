<?php

declare(strict_types=1);

namespace Apron\Rules;

/** How much a finding matters; ordered from worst to best. */
enum Severity: string
{
    /** The wall, or the work on it, will let something in or rot. */
    case Fail = 'fail';

    /** It may; somebody has to decide. */
    case Caution = 'caution';

    /** Worth knowing; nothing to do. */
    case Note = 'note';

    /** Computed, and in order. */
    case Pass = 'pass';

    /** Measured against a least: as much or more passes, half of it is a caution, less fails (common practice). */
    public static function ofLeast(float $size, float $least): self
    {
        return match (true) {
            $size >= $least => self::Pass,
            $size >= $least / 2 => self::Caution,
            default => self::Fail,
        };
    }

    /** Measured against a most: half as much again is a caution, more fails (common practice, as for a least). */
    public static function ofMost(float $size, float $most): self
    {
        return match (true) {
            $size <= $most => self::Pass,
            $size <= 1.5 * $most => self::Caution,
            default => self::Fail,
        };
    }

    /** 0 for the worst. */
    public function rank(): int
    {
        return match ($this) {
            self::Fail => 0,
            self::Caution => 1,
            self::Note => 2,
            self::Pass => 3,
        };
    }
}
