<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use App\Models\Run;
use App\Models\RunState;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Project\Project as CoreProject;
use Apron\Project\Section\RunsSection;
use Apron\Project\Section\WeatherSection;
use Apron\Transient\Memory;
use Apron\Transient\Reckoned;
use Apron\Transient\RunKeeper;
use Apron\Transient\WallResult;
use Apron\Transient\WallRun;

/** Results of runs in the database: kept by what goes into them, put there by the worker. */
final class KeptRuns implements RunKeeper
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    public function find(string $hash): ?WallResult
    {
        $kept = Run::whereKey($hash)->where('state', RunState::Done)->value('result');

        return is_string($kept) ? self::read(WallResult::class, $kept) : null;
    }

    public static function write(WallResult|Memory $what): string
    {
        return (string) gzcompress(serialize($what), 6);
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T|null null where what is kept is of an earlier release
     */
    public static function read(string $class, string $kept): ?object
    {
        // Written by the worker of this instance alone; nothing of it comes from outside.
        $what = unserialize((string) gzuncompress($kept));

        return $what instanceof $class ? $what : null;
    }

    /**
     * A run of a project as it is stored, with its airs.
     *
     * @return array{WallRun, Climate, IndoorAir, string, CoreProject} its hash, and what it was read with
     */
    public function named(Project $project, string $key): array
    {
        $document = $project->documents()->where(['kind' => (new RunsSection)->kind(), 'key' => $key])->first();
        abort_if($document === null, 404, "No run “{$key}” in this project.");
        $core = $this->stored->part($project, collect([$document]));
        $run = $core->of(RunsSection::class)[$key] ?? null;
        abort_unless($run instanceof WallRun, 422, 'A sample between two airs is reckoned at once; there is nothing to run.');
        $indoors = $run->assembly->indoors ?? $core->brief->indoors;
        $climate = WeatherSection::climate($core);
        $hasAirs = $climate !== null && $indoors !== null;
        abort_unless($hasAirs, 422, 'Settle the climate and the indoor air in the brief first.');

        return [$run, $climate, $indoors, Reckoned::hash($run, $climate, $indoors), $core];
    }
}
