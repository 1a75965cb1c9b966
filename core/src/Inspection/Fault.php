<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

/** A deficiency as its events leave it. */
final readonly class Fault
{
    public function __construct(
        public SiteEvent $raised,
        public Severity $severity,
        public ?SiteEvent $repaired,
        public ?SiteEvent $reinspected,
        /** who mends it, and by when; null where nobody has been asked */
        public ?FaultAssigned $assigned = null,
    ) {
    }

    public function assignedTo(FaultAssigned $assigned): self
    {
        return new self($this->raised, $this->severity, $this->repaired, $this->reinspected, $assigned);
    }

    public function repairedBy(SiteEvent $repaired): self
    {
        return new self($this->raised, $this->severity, $repaired, null, $this->assigned);
    }

    public function seenAgain(SiteEvent $reinspected): self
    {
        return new self($this->raised, $this->severity, $this->repaired, $reinspected, $this->assigned);
    }

    /**
     * `open`, `repaired` (awaiting its re-inspection) or `closed`. A repair that failed its re-inspection is open
     * again.
     */
    public function state(): FaultState
    {
        $looked = $this->reinspected?->says;

        return match (true) {
            $looked instanceof FaultReinspected && $looked->passes => FaultState::Closed,
            $this->repaired !== null && $this->reinspected === null => FaultState::Repaired,
            default => FaultState::Open,
        };
    }
}
