<?php

declare(strict_types=1);

namespace App\Models;

enum RunState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelled = 'cancelled';

    /** @return list<self> */
    public static function unfinished(): array
    {
        return [self::Queued, self::Running];
    }
}
