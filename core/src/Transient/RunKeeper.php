<?php

declare(strict_types=1);

namespace Apron\Transient;

/** Where results of runs are kept, for those who do not wait for them. */
interface RunKeeper
{
    /** @return WallResult|null null where it has not been run yet */
    public function find(string $hash): ?WallResult;
}
