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
    ) {
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
