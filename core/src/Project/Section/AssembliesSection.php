<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyFormat;
use Apron\Assembly\SurfaceFilms;
use Apron\Contact\Contacts;
use Apron\Contact\LayerContacts;
use Apron\Inspection\FieldChecks;
use Apron\Json\Node;
use Apron\Judgement\AssemblyAssessment;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/** @extends ListSection<Assembly> */
final class AssembliesSection extends ListSection
{
    public function kind(): string
    {
        return 'assembly';
    }

    public function section(): string
    {
        return 'assemblies';
    }

    public function figuresIn(): string
    {
        return 'assemblies';
    }

    public function definition(): string
    {
        return 'Assembly';
    }

    protected function readRow(Node $node, Reading $reading): Assembly
    {
        $brief = $reading->of(BriefSection::class);

        return AssemblyFormat::read(
            $node,
            $reading->materials(),
            SurfaceFilms::from($brief->schools['films'] ?? 'iso'),
            $brief->climate,
        );
    }

    protected function writeRow(object $row): array
    {
        return AssemblyFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->name;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): AssemblyAssessment
    {
        return new AssemblyAssessment($project->brief, $row);
    }

    protected function materials(object $row): array
    {
        return $row->materials();
    }

    protected function contacts(Project $project, object $row): Contacts
    {
        return LayerContacts::of($row);
    }

    protected function checks(Project $project, object $row): array
    {
        return FieldChecks::of($row, $project->brief->schools);
    }
}
