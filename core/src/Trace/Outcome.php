<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Severity;

/** What comes of water, from best to worst. */
enum Outcome: string
{
    case Shed = 'shed';
    case Recovered = 'recovered';
    case ReliesOnSeal = 'relies on seal';
    case Ponds = 'ponds';
    case ReliesOnBond = 'relies on bond';
    case Trapped = 'trapped';
    /** Wet where the substrate is marked as bearing it, coated masonry say: the same outcome, and a note. */
    case WetsTolerant = 'wets substrate, which bears it';
    case Wets = 'wets substrate';
    case Enters = 'enters inside';

    /** 0 for the best. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function harms(): bool
    {
        return $this === self::Trapped || $this === self::Wets || $this === self::Enters;
    }

    /** @param  int|null  $lines  edges that must fail before harm; null where no failure of an edge does any */
    public function severity(?int $lines): Severity
    {
        return match ($this) {
            self::Shed => Severity::Pass,
            self::Recovered, self::WetsTolerant => Severity::Note,
            self::Ponds => Severity::Caution,
            self::ReliesOnSeal, self::ReliesOnBond => $lines === 1 ? Severity::Caution : Severity::Note,
            default => Severity::Fail,
        };
    }

    /** As `apron-assessment/1` has it. */
    public function told(): string
    {
        return ($this === self::WetsTolerant ? self::Wets : $this)->value;
    }

    public function worse(self $other): self
    {
        return $other->rank() > $this->rank() ? $other : $this;
    }
}
