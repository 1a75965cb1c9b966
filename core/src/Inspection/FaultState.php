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
}
