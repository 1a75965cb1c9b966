<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Rules\Edition;

/**
 * The result of a run: reckoned at once where somebody waits for it, as on the command line, or else as it is kept, by
 * the hash of all that goes into it.
 */
final class Reckoned
{
    private static ?RunKeeper $keeper = null;

    /** @param  RunKeeper|null  $keeper  null reckons at once */
    public static function keepIn(?RunKeeper $keeper): void
    {
        self::$keeper = $keeper;
    }

    /** @return WallResult|null null where it is kept and has not been run yet */
    public static function of(WallRun $run, Climate $climate, IndoorAir $indoors): ?WallResult
    {
        return self::$keeper === null
            ? WallResult::of($run, $climate, $indoors)
            : self::$keeper->find(self::hash($run, $climate, $indoors));
    }

    /** Of what the result depends on; names and titles are not among it. */
    public static function hash(WallRun $run, Climate $climate, IndoorAir $indoors): string
    {
        $assembly = $run->assembly;

        return hash('sha256', serialize([
            Edition::RULES,
            Edition::figures(),
            $assembly->layers,
            $assembly->kind,
            $assembly->rsi(),
            $assembly->statedRse,
            $assembly->films,
            $assembly->soil,
            $assembly->exposure,
            $assembly->roofFace,
            $run->years,
            $run->facing,
            $run->leak,
            $run->humidity,
            $run->air,
            $climate->months,
            $climate->latitude,
            $climate->hours,
            $indoors,
        ]));
    }
}
