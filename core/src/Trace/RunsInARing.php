<?php

declare(strict_types=1);

namespace Apron\Trace;

/** Facets that lead water back to where it came from: there is no foot for it to leave at, and nothing to tell. */
final class RunsInARing extends \RuntimeException
{
    public function __construct(public readonly string $facet)
    {
        parent::__construct("water on “{$facet}” comes back to “{$facet}”: folds in a ring have no foot");
    }
}
