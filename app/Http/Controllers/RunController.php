<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Wording;
use App\Jobs\RunWall;
use App\Models\Project;
use App\Models\Run;
use App\Models\RunState;
use App\Project\HourlyCures;
use App\Project\KeptRuns;
use App\Project\StoredProject;
use Apron\Project\Section\RunsSection;
use Apron\Project\Section\WeatherSection;
use Apron\Rules\Words;
use Apron\Transient\Reckoned;
use Apron\Transient\WallRun;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class RunController
{
    public function __construct(private readonly KeptRuns $runs, private readonly StoredProject $stored)
    {
    }

    #[Api\Get('/api/projects/{project}/runs', id: 'runs', answers: [200 => ['how far each has come', 'RunStands[]']])]
    public function index(Project $project): JsonResponse
    {
        $documents = $project->documents()->where('kind', (new RunsSection)->kind())->get();
        $core = $this->stored->part($project, $documents);
        $climate = WeatherSection::climate($core);
        $rows = [];
        foreach ($core->of(RunsSection::class) as $key => $run) {
            $indoors = $run instanceof WallRun ? $run->assembly->indoors ?? $core->brief->indoors : null;
            if (! $run instanceof WallRun || $climate === null || $indoors === null) {
                continue;
            }
            $row = Run::select(['hash', 'state', 'years', 'years_done', 'doing'])
                ->find(Reckoned::hash($run, $climate, $indoors));
            $rows[] = ['key' => (string) $key] + ($row?->toShape() ?? [
                'state' => 'none',
                'years' => $run->years,
                'years_done' => 0,
                'doing' => 'not run yet',
            ]);
        }

        return new JsonResponse($rows);
    }

    /** Its frames, for the film: temperature and humidity through the wall, every few hours of the last year. */
    #[
        Api\Get(
            '/api/projects/{project}/runs/{key}',
            id: 'run',
            answers: [200 => ['the last year in frames', 'RunPicture'], 404 => 'not run yet'],
        ),
    ]
    public function show(Project $project, string $key): JsonResponse
    {
        [$run, , , $hash] = $this->runs->named($project, $key);
        $result = $this->runs->find($hash) ?? abort(404, 'This has not been run yet.');
        $boundaries = array_column($result->interfaces, 'position_mm');

        return new JsonResponse([
            'boundaries_mm' => $boundaries,
            'layers' => array_map(fn ($layer): string => $layer->id, $run->assembly->layers),
            'depths_mm' => $result->picture['depths_mm'],
            'hours' => $result->picture['hours'],
            'frames' => array_map(fn (array $frame): array => array_map(
                fn (array $at): array => [round($at[0], 2), round(100 * $at[1], 1)],
                $frame,
            ), $result->picture['frames']),
        ]);
    }

    #[
        Api\Post(
            '/api/projects/{project}/runs/{key}/start',
            id: 'startRun',
            answers: [202 => ['on the queue, or done already', 'RunStands'], 422 => 'cannot be run'],
        ),
    ]
    public function start(Project $project, string $key): JsonResponse
    {
        [$run, , , $hash] = $this->runs->named($project, $key);

        return new JsonResponse(
            ['key' => $key] + self::asked($project, $key, $hash, $run->years)->toShape(),
            202,
        );
    }

    /** Whoever asks for what is under way waits for the same. */
    private static function asked(Project $project, string $key, string $hash, int $years): Run
    {
        $fresh = ['state' => RunState::Queued, 'years' => $years, 'doing' => 'waiting for a worker'];
        $row = Run::createOrFirst(['hash' => $hash], $fresh);
        $again = in_array($row->state, [RunState::Failed, RunState::Cancelled], true);
        if ($again) {
            $row->update($fresh);
        }
        if ($again || $row->wasRecentlyCreated) {
            RunWall::dispatch($project->id, $key, $hash);
        }

        return $row;
    }

    /** What might make a run pass, and what each of it came to as far as it was run. */
    #[
        Api\Get(
            '/api/projects/{project}/runs/{key}/cures',
            id: 'runCures',
            answers: [200 => ['changes in the order of the trade', 'RunCure[]'], 404 => 'no such run'],
            queries: ['units'],
        ),
    ]
    public function cures(Request $request, Project $project, string $key, HourlyCures $cures): JsonResponse
    {
        $units = Wording::units($request) ?? $this->stored->part($project)->brief->units;

        return new JsonResponse($cures->told($project, $key, new Words($units)));
    }

    /** All of them on the queue. */
    #[
        Api\Post(
            '/api/projects/{project}/runs/{key}/cures',
            id: 'runTheCures',
            answers: [202 => ['changes in the order of the trade', 'RunCure[]'], 404 => 'no such run'],
            queries: ['units'],
        ),
    ]
    public function runCures(Request $request, Project $project, string $key, HourlyCures $cures): JsonResponse
    {
        ['cures' => $all, 'climate' => $climate, 'indoors' => $indoors] = $cures->of($project, $key);
        foreach ($all as $cure) {
            self::asked($project, $key, Reckoned::hash($cure->run, $climate, $indoors), $cure->run->years);
        }

        return $this->cures($request, $project, $key, $cures)->setStatusCode(202);
    }

    #[
        Api\Post(
            '/api/projects/{project}/runs/{key}/cancel',
            id: 'cancelRun',
            answers: [200 => ['cancelled, where it was not done yet', 'RunStands']],
        ),
    ]
    public function cancel(Project $project, string $key): JsonResponse
    {
        [, , , $hash] = $this->runs->named($project, $key);
        $row = Run::find($hash) ?? abort(404, 'It has not been asked for.');
        Run::whereKey($hash)
            ->whereIn('state', RunState::unfinished())
            ->update(['state' => RunState::Cancelled, 'doing' => 'cancelled']);

        return new JsonResponse(['key' => $key] + $row->refresh()->toShape());
    }
}
