<?php

declare(strict_types=1);

namespace App\Jobs;

/** Somebody has cancelled the run that is under way. */
final class RunCancelled extends \RuntimeException
{
}
