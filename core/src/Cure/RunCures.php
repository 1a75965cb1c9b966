<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Brief\Brief;
use Apron\Material\Materials;
use Apron\Rules\Finding;
use Apron\Transient\WallRun;

/**
 * What might make a run pass: the changes that a consultant would make to its assembly, in the order of the trade, each
 * to be run as it is. Twelve months of steady diffusion say first which bring a new fail or caution: those are not run.
 */
final class RunCures
{
    /** So many runs of years at most: a minute or two on two workers. */
    private const MOST = 20;

    /** Sizes of one thing, or things of one kind, that are run. */
    private const MOST_STEPS = 3;

    /**
     * @param  Finding  $finding  that the run is to be rid of
     * @return list<RunCure>
     */
    public static function of(WallRun $run, Finding $finding, Brief $brief, Materials $materials): array
    {
        $trial = new Trial($brief, $run->assembly, $finding, $materials);
        $cures = [];
        foreach (Changes::inOrder($trial->fromOutdoors()) as $change) {
            foreach ($change->series($trial, $run->assembly) as $series) {
                $steps = $series->monotonic() ? $series->few() : array_slice($series->steps, 0, self::MOST_STEPS);
                foreach ($steps as $step) {
                    $changed = $run->in($step->assembly);
                    if ($changed === null || ! $trial->clears($trial->assessed($step->assembly))) {
                        continue;
                    }
                    $cures[] = new RunCure($series->made($step), $changed);
                    if (count($cures) === self::MOST) {
                        return $cures;
                    }
                }
            }
        }

        return $cures;
    }
}
