<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Conduction\Block;
use Apron\Conduction\PlaneAssessment;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\PlaneSectionFormat;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * Joints cut through, and what heat flows through them.
 *
 * @extends ListSection<PlaneSection>
 */
final class PlaneSectionsSection extends ListSection
{
    public function kind(): string
    {
        return 'plane-section';
    }

    public function section(): string
    {
        return 'plane_sections';
    }

    public function figuresIn(): string
    {
        return 'plane_sections';
    }

    public function definition(): string
    {
        return 'PlaneSection';
    }

    protected function readRow(Node $node, Reading $reading): PlaneSection
    {
        return PlaneSectionFormat::read($node, $reading->materials());
    }

    protected function writeRow(object $row): array
    {
        return PlaneSectionFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): PlaneAssessment
    {
        return new PlaneAssessment($row, $project->brief);
    }

    protected function materials(object $row): array
    {
        $used = array_filter(array_map(fn (Block $block): ?object => $block->material, $row->blocks));

        return array_column($used, null, 'id');
    }
}
