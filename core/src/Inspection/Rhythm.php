<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** A look that is taken again and again while something stands open. Days as they are written, 2027-04-01. */
final readonly class Rhythm
{
    public function __construct(
        /** the day on whose evening it stands open */
        public string $from,
        /** the day on which it is closed; null where nothing is planned to close it */
        public ?string $to,
        public int $every,
        /** the day that the plan stands at; null where it says none */
        public ?string $today,
    ) {
    }

    /**
     * The day of the next look; null once it is closed.
     *
     * @param  list<SiteEvent>  $looks
     */
    public function due(array $looks): ?string
    {
        $last = max([$this->from, ...array_map(fn (SiteEvent $look): string => substr($look->at, 0, 10), $looks)]);
        $next = (new \DateTimeImmutable($last))->modify("+$this->every days")->format('Y-m-d');

        return $this->to !== null && $next >= $this->to ? null : $next;
    }

    /**
     * The day that a look should have been taken on and was not, while it stands open still.
     *
     * @param  list<SiteEvent>  $looks
     */
    public function missed(array $looks): ?string
    {
        $due = $this->due($looks);
        $isOpen = $this->today !== null && ($this->to === null || $this->today < $this->to);

        return $isOpen && $due !== null && $due < $this->today ? $due : null;
    }

    /** @return array{from: string, to: string|null, every_days: int, today: string|null} */
    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'every_days' => $this->every, 'today' => $this->today];
    }

    /** @param  mixed  $told  as `toArray` tells it, once through JSON */
    public static function read(mixed $told): ?self
    {
        $told = (array) $told;
        $day = fn (string $key): ?string => is_string($told[$key] ?? null) ? $told[$key] : null;
        $every = $told['every_days'] ?? null;

        return $day('from') === null || ! is_int($every)
            ? null
            : new self($day('from'), $day('to'), $every, $day('today'));
    }
}
