<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** One observation, with the id that the phone gave it: what any may say, and what its kind says. */
final readonly class SiteEvent
{
    /** @param  list<string>  $photographs  SHA-256 of each, in hexadecimal */
    public function __construct(
        public string $id,
        public EventKind $kind,
        /** the id of the visit's own event; its own for a visit */
        public string $visit,
        /** ISO 8601, UTC */
        public string $at,
        public string $by,
        /** the account that sent it, beside the name it had then; null where an earlier version wrote it */
        public ?string $account,
        public ?string $check,
        public ?string $words,
        /** the event that raised the fault this one is about */
        public ?string $fault,
        public array $photographs,
        /** null where the kind says nothing more */
        public Reading|FaultRaised|FaultAssigned|FaultReinspected|Substituted|null $says,
        /** where on the building; null where nobody has said */
        public ?Pin $pin = null,
        /** @var list<Mark> on its photographs */
        public array $marks = [],
    ) {
    }

    public function reading(): ?Reading
    {
        return $this->says instanceof Reading ? $this->says : null;
    }

    /** Times of one length, so that they sort as text: phones send thousandths of a second and files may not. */
    public function instant(): string
    {
        [$seconds, $fraction] = [substr($this->at, 0, 19), rtrim(substr($this->at, 20), 'Z')];

        return $seconds.'.'.str_pad($fraction, 12, '0');
    }

    /**
     * @param  list<self>  $events
     * @return list<self> by time, those of one instant by their ids
     */
    public static function inOrder(array $events): array
    {
        $times = array_map(fn (self $event): string => "{$event->instant()} {$event->id}", $events);
        asort($times, SORT_STRING);

        return array_map(fn (int $i): self => $events[$i], array_keys($times));
    }
}
