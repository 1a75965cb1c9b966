<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

/** What the events on site come to. Order of arrival does not matter: they are taken by time, then id. */
final class SiteRecord
{
    /** @var list<SiteEvent> */
    public readonly array $events;

    /** @var array<string, list<SiteEvent>>|null */
    private ?array $standing = null;

    /** @param  list<SiteEvent>  $events */
    public function __construct(array $events)
    {
        usort($events, SiteEvent::order(...));
        $this->events = $events;
    }

    /** @return list<SiteEvent> readings of a check that no later one corrects */
    public function readings(string $check): array
    {
        return $this->byCheck()[$check] ?? [];
    }

    /** @return array<string, list<SiteEvent>> readings that no later one corrects, by the check they are of */
    public function byCheck(): array
    {
        if ($this->standing === null) {
            $superseded = $standing = [];
            foreach ($this->events as $event) {
                if ($event->supersedes !== null) {
                    $superseded[$event->supersedes] = true;
                }
            }
            foreach ($this->events as $event) {
                if ($event->kind === EventKind::Reading && $event->check !== null && ! isset($superseded[$event->id])) {
                    $standing[$event->check][] = $event;
                }
            }
            $this->standing = $standing;
        }

        return $this->standing;
    }

    /** @return list<Fault> in the order they were raised */
    public function faults(): array
    {
        $faults = [];
        foreach ($this->events as $event) {
            $id = $event->fault ?? $event->id;
            match ($event->kind) {
                EventKind::FaultRaised => ($faults[$event->id] = new Fault(
                    $event,
                    $event->severity ?? Severity::Caution,
                    null,
                    null,
                )),
                // A new repair waits for a new look.
                EventKind::FaultRepaired => isset($faults[$id])
                    ? ($faults[$id] = new Fault($faults[$id]->raised, $faults[$id]->severity, $event, null))
                    : null,
                EventKind::FaultReinspected => isset($faults[$id])
                    ? ($faults[$id] = new Fault(
                        $faults[$id]->raised,
                        $faults[$id]->severity,
                        $faults[$id]->repaired,
                        $event,
                    ))
                    : null,
                default => null,
            };
        }

        return array_values($faults);
    }
}
