<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;

/** One kind of change to an assembly, as the trade makes it. Says what can be done; whether it cures is tried. */
interface Change
{
    /** @return list<Series> */
    public function series(Trial $trial, Assembly $assembly): array;
}
