<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** How far a deficiency has come. */
enum FaultState: string
{
    case Open = 'open';

    /** and waits for its re-inspection */
    case Repaired = 'repaired';

    case Closed = 'closed';

    /** 0 for what asks for somebody first. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
