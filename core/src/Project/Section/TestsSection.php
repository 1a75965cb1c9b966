<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Building\Envelope;
use Apron\FieldTest\FanAssessment;
use Apron\FieldTest\FanSheet;
use Apron\FieldTest\TestFormat;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Rules\Assessed;

/**
 * Tests in the field.
 *
 * @extends ListSection<FanSheet>
 */
final class TestsSection extends ListSection
{
    public function kind(): string
    {
        return 'test';
    }

    public function section(): string
    {
        return 'tests';
    }

    public function figuresIn(): string
    {
        return 'tests';
    }

    public function definition(): string
    {
        return 'FieldTest';
    }

    protected function readRow(Node $node, Reading $reading): FanSheet
    {
        return TestFormat::read($node);
    }

    protected function writeRow(object $row): array
    {
        return TestFormat::write($row);
    }

    protected function assess(Project $project, object $row): Assessed
    {
        $target = $project->brief->airTarget;
        $targets = $target === null ? [] : [$target->unit->value => $target->value];
        $building = $row->volume === null || $row->envelope === null ? $project->of(BuildingSection::class) : null;
        $envelope = $building === null
            ? null
            : new Envelope($building, BuildingSection::sizesOf($project->details));

        return new FanAssessment($row->filled($envelope?->volume, $envelope?->area(), $targets));
    }

    public function standsOn(\stdClass $content): array
    {
        return isset($content->volume_m3, $content->envelope_m2) ? [] : [(new BuildingSection)->kind()];
    }

    protected function title(object $row): string
    {
        return $row->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }
}
