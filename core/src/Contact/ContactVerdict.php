<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Rules\Severity;

/** What comes of two materials that touch, the worst first. */
enum ContactVerdict: string
{
    case Attacks = 'attacks';
    case Corrodes = 'corrodes';
    case NoBond = 'no bond';
    case Separate = 'separate';
    case TestFirst = 'test first';
    case PrimeFirst = 'prime first';
    case Bonds = 'bonds';
    case NotNeeded = 'not needed';

    public function severity(How $how): Severity
    {
        return match ($this) {
            self::Attacks, self::Corrodes => Severity::Fail,
            self::NoBond => $how->sticks() ? Severity::Fail : Severity::Note,
            self::Separate, self::TestFirst, self::PrimeFirst => Severity::Caution,
            self::Bonds, self::NotNeeded => Severity::Pass,
        };
    }

    /** Whether one does something to the other, stuck or not. */
    public function harms(): bool
    {
        return in_array($this, [self::Attacks, self::Corrodes, self::Separate], true);
    }

    /** 0 for the worst. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** One harmful step worse, of what metals do to each other: kept apart, then eaten. */
    public function worseForMetal(): self
    {
        return $this === self::NotNeeded ? self::Separate : self::Corrodes;
    }
}
