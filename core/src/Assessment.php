<?php

namespace Apron;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyAssessment;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Detail\Detail;
use Apron\Inspection\SiteFindings;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;

/** Project in, figures and findings out. */
final readonly class Assessment
{
    public const FORMAT = 'apron-assessment/1';

    /** Raised when a rule changes what comes of a project, so that nothing kept from an older rule is shown. */
    public const EDITION = 4;

    /** @var list<AssemblyAssessment> */
    public array $assemblies;

    /** @var list<DetailAssessment> */
    public array $details;

    /** @var list<Finding> worst first */
    public array $findings;

    public function __construct(public Project $project)
    {
        $this->assemblies = array_map(fn (Assembly $assembly): AssemblyAssessment => new AssemblyAssessment($project, $assembly), $project->assemblies);
        $findings = [];
        foreach ($this->assemblies as $assembly) {
            $findings = [...$findings, ...$assembly->findings()];
        }
        $this->details = array_map(fn (Detail $detail): DetailAssessment => new DetailAssessment($detail, School::of($project->schools)), $project->details);
        foreach ($this->details as $detail) {
            $findings = [...$findings, ...$detail->findings()];
        }
        $this->findings = Finding::worstFirst([...$findings, ...SiteFindings::of($project)]);
    }

    public function fails(): bool
    {
        return $this->findings !== [] && $this->findings[0]->severity === Severity::Fail;
    }

    /**
     * @param  bool  $paths  false leaves out `details`: the path of every strip of every detail is most of it, and long to put in words
     * @return array<string, mixed> as `apron-assessment/1` has it; sections the project does not have are left out
     */
    public function toArray(Words $words, bool $paths = true): array
    {
        $document = ['format' => self::FORMAT];
        if ($this->project->climate !== null && $this->project->indoors !== null) {
            $document['climate'] = ['months' => $this->months($this->project->climate, $this->project->indoors)];
        }
        if ($this->assemblies !== []) {
            $document['assemblies'] = array_map(fn (AssemblyAssessment $a): array => $a->toArray(), $this->assemblies);
        }
        if ($paths && $this->details !== []) {
            $document['details'] = array_map(fn (DetailAssessment $d): array => $d->toArray($words), $this->details);
        }
        $document['findings'] = array_map(fn (Finding $finding): array => self::finding($finding, $words), $this->findings);

        return $document;
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding, Words $words): array
    {
        return [
            'key' => $finding->key(),
            'code' => $finding->code,
            'severity' => $finding->severity->value,
            'subject' => $finding->subject,
            ...$words->of($finding),
            'figures' => (object) $finding->figures,
            'source' => $finding->source->toArray(),
            'accepted' => null,
        ];
    }

    /** @return list<array<string, float>> the two airs and their dew points, January first */
    private function months(Climate $climate, IndoorAir $indoors): array
    {
        $months = [];
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            $months[] = [
                'outdoor_c' => $outdoors->celsius,
                'outdoor_dew_point_c' => Air::dewPoint($outdoors->vapourPressure()),
                'indoor_c' => $air['celsius'],
                'indoor_rh_pct' => 100 * $air['pressure'] / Air::saturation($air['celsius']),
                'indoor_dew_point_c' => Air::dewPoint($air['pressure']),
            ];
        }

        return $months;
    }
}
