<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Severity;

/** The worst that comes of the releases of one source in one strip. */
final class StripResult
{
    public Outcome $outcome = Outcome::Shed;

    public Severity $severity = Severity::Pass;

    public ?int $lines = null;

    /** @var array{string, int, int, int}|null the release that fares worst */
    private ?array $worst = null;

    private ?Run $told = null;

    public function __construct(
        private readonly Rain $rain,
        public readonly string $source,
        public readonly string $facet,
        public readonly float $u0,
        public readonly float $u1,
    ) {
    }

    /** @param  array{string, int, int, int}  $place of one more release */
    public function add(array $place): void
    {
        $defence = $this->rain->defence($place);
        $lines = $defence === PHP_INT_MAX ? null : $defence;
        $fate = $this->rain->fate($place) | ($place[3] === -1 ? 1 << $this->rain->wet($place[0])->rank() : 0);
        $outcome = Outcome::Shed;
        foreach (Outcome::cases() as $rank => $case) {
            if ((($fate >> $rank) & 1) === 1) {
                $outcome = $case;
                $severity = $this->rain->school->judged($case, $case->severity($lines));
                $this->severity = $severity->rank() < $this->severity->rank() ? $severity : $this->severity;
            }
        }
        if ($this->worst === null || $outcome->rank() > $this->outcome->rank()) {
            [$this->outcome, $this->worst, $this->told] = [$outcome, $place, null];
        }
        $this->lines = $lines === null ? $this->lines : ($this->lines === null ? $lines : min($lines, $this->lines));
    }

    /** The release that fares worst, followed to its end. */
    public function told(): Run
    {
        return $this->told ??= $this->rain->follow(
            $this->worst ?? throw new \LogicException('a strip without a release'),
        );
    }
}
