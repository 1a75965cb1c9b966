<?php

declare(strict_types=1);

namespace Apron\Plan;

/** A task that was begun, and ended where a last day is given. */
final readonly class Done
{
    public function __construct(public string $task, public int $from, public ?int $to)
    {
    }
}
