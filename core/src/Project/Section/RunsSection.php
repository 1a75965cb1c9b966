<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Budget\Deadline;
use Apron\Json\Node;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Material;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Rules\Assessed;
use Apron\Transient\LabAssessment;
use Apron\Transient\LabRun;
use Apron\Transient\Reckoned;
use Apron\Transient\RunFormat;
use Apron\Transient\WallAssessment;
use Apron\Transient\WallResult;
use Apron\Transient\WallRun;

/**
 * Assemblies, and samples, through time.
 *
 * @extends ListSection<LabRun|WallRun>
 */
final class RunsSection extends ListSection
{
    /** Of one run that is waited for: what it has got to by then is told. */
    private const SECONDS = 60.0;

    public function kind(): string
    {
        return 'run';
    }

    public function section(): string
    {
        return 'runs';
    }

    public function figuresIn(): string
    {
        return 'runs';
    }

    public function definition(): string
    {
        return 'Run';
    }

    protected function readRow(Node $node, Reading $reading): LabRun|WallRun
    {
        return RunFormat::read($node, $reading->materials(), $reading->of(AssembliesSection::class));
    }

    protected function writeRow(object $row): array
    {
        return RunFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): Assessed
    {
        if ($row instanceof LabRun) {
            return Deadline::within(self::SECONDS, fn (): LabAssessment => new LabAssessment($row));
        }
        $indoors = $row->assembly->indoors ?? $project->brief->indoors;
        $climate = WeatherSection::climate($project);

        return $climate === null || $indoors === null
            ? new WallAssessment($row, null, false)
            : new WallAssessment(
                $row,
                Deadline::within(self::SECONDS, fn (): ?WallResult => Reckoned::of($row, $climate, $indoors)),
                byMonths: (new AssemblyAssessment($project->brief, $row->assembly))->year?->verdict(),
            );
    }

    public function standsOn(\stdClass $content): array
    {
        $assembly = $content->assembly ?? null;

        return is_string($assembly) ? [$assembly, (new WeatherSection)->kind()] : [];
    }

    /** @return array<string, Material> */
    protected function materials(object $row): array
    {
        if ($row instanceof WallRun) {
            return $row->assembly->materials();
        }
        $used = [];
        foreach ($row->layers as $part) {
            $used[$part->material->id] = $part->material;
        }

        return $used;
    }
}
