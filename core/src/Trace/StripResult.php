<?php

namespace Apron\Trace;

use Apron\Severity;

/** The worst that comes of the releases of one source in one strip. */
final class StripResult
{
    public Outcome $outcome;

    public Severity $severity;

    public ?int $lines;

    public Run $told;

    public function __construct(public readonly string $source, public readonly string $facet, public readonly float $u0, public readonly float $u1, Run $run, public readonly string $at = '')
    {
        [$this->outcome, $this->severity, $this->lines, $this->told] = [$run->outcome, $run->severity, $run->lines, $run];
    }

    public function with(Run $run): void
    {
        if ($run->outcome->rank() > $this->outcome->rank()) {
            [$this->outcome, $this->told] = [$run->outcome, $run];
        }
        $this->severity = $run->severity->rank() < $this->severity->rank() ? $run->severity : $this->severity;
        $this->lines = $run->lines === null ? $this->lines : ($this->lines === null ? $run->lines : min($run->lines, $this->lines));
    }
}
