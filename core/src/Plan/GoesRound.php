<?php

declare(strict_types=1);

namespace Apron\Plan;

/** Tasks that wait for each other, so that none of them can begin. */
final class GoesRound extends \RuntimeException
{
    /** @param  non-empty-list<string>  $tasks  in the ring, or behind it */
    public function __construct(public readonly array $tasks)
    {
        parent::__construct(implode(', ', $tasks));
    }
}
