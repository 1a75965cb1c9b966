<?php

declare(strict_types=1);

namespace Apron\Plan;

/** How long a product stands in the sun: from the evening of its last day to the morning on which it is covered. */
final readonly class Clock
{
    public function __construct(
        public Task $task,
        public float $limit,
        /** the day on whose evening it is all laid */
        public int $exposedFrom,
        /** the evening by which it must be covered */
        public int $coverBy,
        /** the day on which it is covered; null where nothing is planned to */
        public ?int $covered,
        /** days until it is covered, or until today; null where neither is known */
        public ?int $used,
    ) {
    }

    public function isOver(): bool
    {
        return $this->used !== null && $this->used > $this->limit;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'task' => $this->task->id,
            'product' => $this->task->product,
            'limit_days' => $this->limit,
            'exposed_from' => Day::written($this->exposedFrom),
            'cover_by' => Day::written($this->coverBy),
            'covered' => $this->covered === null ? null : Day::written($this->covered),
            'days_used' => $this->used,
        ];
    }
}
