<?php

declare(strict_types=1);

// What a command of the core promises of its end: 0 and 1 are verdicts, 2 a file that cannot be used, 3 that it could
// not finish.

require_once __DIR__.'/../../core/autoload.php';

use Apron\Budget\Deadline;
use Apron\Json\FileRefused;

const COULD_NOT_FINISH = 3;

/**
 * Runs a command under limits of its own: Debian's command line has none, and one file must not take the machine.
 *
 * @param  callable(): int  $command  prints its answer and returns 0, 1 or 2
 */
function guarded(string $file, callable $command): never
{
    ini_set('memory_limit', getenv('APRON_MEMORY') ?: '1G');
    ini_set('display_errors', 'stderr');
    $done = false;
    // Out of memory comes here and not to a catch.
    register_shutdown_function(function () use (&$done, $file): void {
        if (! $done) {
            fwrite(STDERR, "$file could not be worked out: out of memory, or stopped from outside\n");
            exit(COULD_NOT_FINISH);
        }
    });
    ob_start();
    try {
        $code = Deadline::within((float) (getenv('APRON_SECONDS') ?: 300), $command);
        ob_end_flush();
    } catch (FileRefused $refused) {
        ob_end_clean();
        fwrite(STDERR, "$file cannot be used\n  ".$refused->getMessage()."\n");
        $code = 2;
    } catch (\Throwable $fault) {
        ob_end_clean();
        fwrite(STDERR, "$file could not be worked out: ".$fault->getMessage()."\n");
        $code = COULD_NOT_FINISH;
    }
    $done = true;
    exit($code);
}
