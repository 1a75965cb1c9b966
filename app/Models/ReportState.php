<?php

declare(strict_types=1);

namespace App\Models;

/** How far a printed report has come. */
enum ReportState: string
{
    case Queued = 'queued';

    case Printing = 'printing';

    case Done = 'done';

    case Failed = 'failed';

    case Cancelled = 'cancelled';

    /** @return list<self> those that may still come to something, or be given up */
    public static function unfinished(): array
    {
        return [self::Queued, self::Printing];
    }
}
