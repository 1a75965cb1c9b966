<?php

declare(strict_types=1);

namespace Apron\Budget;

/** A computation that was cut off: what it would have taken more of than it may. */
final class TakesTooLong extends \RuntimeException
{
    public function __construct(public readonly string $more)
    {
        parent::__construct(
            "This takes $more and was cut off. Fewer layers, framed layers, pieces or steps, or a plainer detail, can be worked out.",
        );
    }
}
