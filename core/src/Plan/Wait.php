<?php

declare(strict_types=1);

namespace Apron\Plan;

/** One task waits for another: for its end or its start, and some hours more. */
final readonly class Wait
{
    /** A wait that is no longer than a night is spent overnight. */
    private const NIGHT_H = 12.0;

    public function __construct(
        public string $task,
        public bool $fromStart = false,
        public float $hours = 0.0,
        /** what of the other's product it waits for; its hours then follow from the air of that day */
        public ?Cures $until = null,
    ) {
    }

    public function lasting(float $hours): self
    {
        return new self($this->task, $this->fromStart, $hours, $this->until);
    }

    /** How many whole days it lasts: after an end those after its evening, after a start those after its morning. */
    private function days(): int
    {
        $hours = ! $this->fromStart && $this->hours <= self::NIGHT_H ? 0.0 : $this->hours;

        return (int) ceil($hours / 24);
    }

    /** The first day whose morning it lets something begin on. */
    public function after(int $first, int $last): int
    {
        return $this->fromStart ? $first + $this->days() : $last + 1 + $this->days();
    }

    /** The latest day that what is waited for may end on, or begin, so that something can begin on a day. */
    public function before(int $day): int
    {
        return $this->fromStart ? $day - $this->days() : $day - 1 - $this->days();
    }
}
