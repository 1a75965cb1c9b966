<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;

/** Somebody saved this document in the meantime; both sides are handed back. */
final class StaleSave extends \RuntimeException
{
    /** @param  mixed  $offered  what was to be saved over it; null where it was to be removed */
    public function __construct(public readonly Document $current, public readonly mixed $offered)
    {
        parent::__construct(
            "“{$current->key}” was saved by somebody else as revision {$current->revision}; look at both before saving over it",
        );
    }
}
