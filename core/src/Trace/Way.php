<?php

declare(strict_types=1);

namespace Apron\Trace;

/** One way water can go from a place: what it costs in edges that fail, what happens on it, and where it is then. */
final readonly class Way
{
    /**
     * @param  list<array{Outcome, string, string}>  $events  what, the code of its words, the piece or facet it happens
     *   at
     * @param  list<array{string, int, int, int}>  $to  places as [facet, strip, interval, carrier's order or −1]; none
     *   where it ends; several where it parts
     */
    public function __construct(public int $cost, public array $events, public array $to)
    {
    }

    public function harms(): bool
    {
        foreach ($this->events as [$outcome]) {
            if ($outcome->harms()) {
                return true;
            }
        }

        return false;
    }
}
