<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

/** What a reading is held to: a least, a most, or both, in the unit of what is read. */
final readonly class Bounds
{
    private function __construct(public ?float $least, public ?float $most, public ReadingUnit $unit)
    {
    }

    /** @throws \InvalidArgumentException where nothing bounds it, or the least is above the most */
    public static function of(?float $least, ?float $most, ReadingUnit $unit): self
    {
        if (($least === null && $most === null) || ($least !== null && $most !== null && $least > $most)) {
            throw new \InvalidArgumentException('a least, a most, or both with the least not above the most');
        }

        return new self($least, $most, $unit);
    }

    /** Lengths, of which most checks ask a least. */
    public static function atLeast(float $mm): self
    {
        return new self($mm, null, ReadingUnit::Millimetre);
    }

    /** Gaps, and how far apart what holds something may be. */
    public static function atMost(float $mm): self
    {
        return new self(null, $mm, ReadingUnit::Millimetre);
    }

    /**
     * Half of the least is a caution, and so is half as much again as the most; beyond, it fails (common practice).
     */
    public function judge(float $value): Severity
    {
        $low = $this->least === null ? Severity::Pass : Severity::ofLeast($value, $this->least);
        $high = $this->most === null ? Severity::Pass : Severity::ofMost($value, $this->most);

        return $low->rank() < $high->rank() ? $low : $high;
    }
}
