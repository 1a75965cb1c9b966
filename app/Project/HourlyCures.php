<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use App\Models\Run;
use App\Models\RunState;
use Apron\Assembly\AssemblyFormat;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Cure\CureSearch;
use Apron\Cure\RunCure;
use Apron\Cure\RunCures;
use Apron\Judgement\AssemblyAssessment;
use Apron\Project\Project as CoreProject;
use Apron\Rules\Words;
use Apron\Transient\Reckoned;
use Apron\Transient\WallAssessment;
use Apron\Transient\WallRun;

/** What might make a run pass, each change run like any other run: on the queue, kept by what goes into it. */
final class HourlyCures
{
    public function __construct(private readonly KeptRuns $runs)
    {
    }

    /**
     * @return array{cures: list<RunCure>, core: CoreProject, climate: Climate, indoors: IndoorAir} none where the run
     *   has not been made, or says nothing that somebody must act on
     */
    public function of(Project $project, string $key): array
    {
        [$run, $climate, $indoors, $hash, $core] = $this->runs->named($project, $key);
        $result = $this->runs->find($hash);
        $finding = $result === null ? null : (new WallAssessment($run, $result))->worst();

        return [
            'cures' => $finding === null ? [] : RunCures::of($run, $finding, $core->brief, $core->materials),
            'core' => $core,
            'climate' => $climate,
            'indoors' => $indoors,
        ];
    }

    /** @return array{WallRun, Climate, IndoorAir}|null the change of that run whose result has this hash */
    public function hashed(Project $project, string $key, string $hash): ?array
    {
        ['cures' => $cures, 'climate' => $climate, 'indoors' => $indoors] = $this->of($project, $key);
        foreach ($cures as $cure) {
            if (Reckoned::hash($cure->run, $climate, $indoors) === $hash) {
                return [$cure->run, $climate, $indoors];
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> each change, how far its run has come, and what it says */
    public function told(Project $project, string $key, Words $words): array
    {
        ['cures' => $cures, 'core' => $core, 'climate' => $climate, 'indoors' => $indoors] = $this->of($project, $key);

        return array_map(function (RunCure $cure) use ($core, $climate, $indoors, $words): array {
            $hash = Reckoned::hash($cure->run, $climate, $indoors);
            $row = Run::select(['hash', 'state', 'years', 'years_done', 'doing'])->find($hash);
            $result = $row?->state === RunState::Done ? $this->runs->find($hash) : null;
            $said = $result === null ? null : new WallAssessment(
                $cure->run,
                $result,
                byMonths: (new AssemblyAssessment($core->brief, $cure->run->assembly))->year?->verdict(),
            );
            $worst = $said?->worst();

            return [
                'title' => CureSearch::title($cure->cure, $words),
                'hash' => $hash,
                'stand' => ['key' => $hash] + ($row?->toShape() ?? [
                    'state' => 'none',
                    'years' => $cure->run->years,
                    'years_done' => 0,
                    'doing' => 'not run yet',
                ]),
                'clears' => $said === null ? null : $worst === null,
                'says' => $worst === null ? null : $words->of($worst)['title'],
                'mould_index' => $said?->mouldMost(),
                'content' => AssemblyFormat::write($cure->run->assembly),
            ];
        }, $cures);
    }
}
