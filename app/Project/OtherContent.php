<?php

declare(strict_types=1);

namespace App\Project;

/** An event whose id is taken by one that says something else: neither may be lost without a word. */
final class OtherContent extends \RuntimeException
{
    public function __construct(public readonly string $event)
    {
        parent::__construct(
            "The event “{$event}” is here already and says something else; what was sent now needs an id of its own.",
        );
    }
}
