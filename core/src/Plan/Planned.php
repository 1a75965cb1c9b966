<?php

declare(strict_types=1);

namespace Apron\Plan;

/** When a task is done. */
final readonly class Planned
{
    public function __construct(
        public Task $task,
        public int $from,
        public int $to,
        /** working days that its start can slip with the finish unchanged */
        public int $float,
        public bool $isDone,
        /** the task that keeps it from beginning sooner; null where a date does */
        public ?string $because = null,
    ) {
    }

    public function isCritical(): bool
    {
        return ! $this->isDone && $this->float === 0;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'id' => $this->task->id,
            'from' => Day::written($this->from),
            'to' => Day::written($this->to),
            'float_days' => $this->float,
            'critical' => $this->isCritical(),
            'because' => $this->because,
        ];
    }
}
