<?php

declare(strict_types=1);

namespace Apron\Inspection;

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
        $this->events = SiteEvent::inOrder($events);
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
                $corrected = $event->reading()?->supersedes;
                if ($corrected !== null) {
                    $superseded[$corrected] = true;
                }
            }
            foreach ($this->events as $event) {
                if ($event->reading() !== null && $event->check !== null && ! isset($superseded[$event->id])) {
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
        /** @var array<string, Fault> $faults */
        $faults = [];
        foreach ($this->events as $event) {
            $id = $event->fault ?? $event->id;
            $raised = $faults[$id] ?? null;
            // A new repair waits for a new look.
            $fault = match (true) {
                $event->says instanceof FaultRaised => new Fault($event, $event->says->severity, null, null),
                $raised === null => null,
                $event->says instanceof FaultAssigned => $raised->assignedTo($event->says),
                $event->kind === EventKind::FaultRepaired => $raised->repairedBy($event),
                $event->says instanceof FaultReinspected => $raised->seenAgain($event),
                default => null,
            };
            if ($fault !== null) {
                $faults[$id] = $fault;
            }
        }

        return array_values($faults);
    }
}
