<?php

namespace Apron\Project;

use Apron\Assembly\Assembly;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Detail\Detail;
use Apron\Inspection\SiteFindings;
use Apron\Json\Broken;
use Apron\Judgement\AssemblyAssessment;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;

/** Project in, figures and findings out. */
final readonly class Assessment
{
    public const FORMAT = 'apron-assessment/1';

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
        $this->findings = Finding::worstFirst([...array_map(self::broken(...), $project->broken), ...$findings, ...SiteFindings::of($project)]);
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
        $climate = self::climate($this->project);
        if ($climate !== null) {
            $document['climate'] = $climate;
        }
        if ($this->assemblies !== []) {
            $document['assemblies'] = array_map(fn (AssemblyAssessment $a): array => $a->toArray(), $this->assemblies);
        }
        if ($paths && $this->details !== []) {
            $document['details'] = array_map(fn (DetailAssessment $d): array => $d->toArray($words), $this->details);
        }
        $document['findings'] = array_map(fn (Finding $finding): array => self::shape($finding, $words), $this->findings);

        return $document;
    }

    /** A part of a stored project that this release cannot read: the one thing to be said of it. */
    public static function broken(Broken $broken): Finding
    {
        $section = $broken->section === 'openings' ? 'details' : $broken->section;

        return new Finding('document.broken', Severity::Fail, $broken->id === '' ? $section : "$section/$broken->id", [
            'id' => $broken->id === '' ? $broken->section : $broken->id, 'at' => $broken->why->pointer, 'found' => $broken->why->value, 'expected' => $broken->why->expected,
        ], Source::computed('the format of the project file'));
    }

    /** @return array{months: list<array<string, float>>}|null the two airs of the project; null until both are stated */
    public static function climate(Project $project): ?array
    {
        return $project->climate === null || $project->indoors === null ? null : ['months' => self::months($project->climate, $project->indoors)];
    }

    /**
     * Findings of several documents put together, in the shapes they are told in.
     *
     * @param  list<\stdClass|array<string, mixed>>  $shapes
     * @return list<\stdClass|array<string, mixed>> worst first; within a severity in the order given
     */
    public static function worstFirst(array $shapes): array
    {
        $bySeverity = [];
        foreach ($shapes as $shape) {
            $said = ((array) $shape)['severity'] ?? null;
            $bySeverity[is_string($said) ? Severity::from($said)->rank() : 0][] = $shape;
        }
        ksort($bySeverity);

        return array_merge(...$bySeverity);
    }

    /** @return array<string, mixed> a finding as `apron-assessment/1` has it */
    public static function shape(Finding $finding, Words $words): array
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
    private static function months(Climate $climate, IndoorAir $indoors): array
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
