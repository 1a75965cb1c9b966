<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Contact\AdhesionFormat;
use Apron\Contact\AdhesionTest;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * Strips that were pulled off the real faces of a project.
 *
 * @extends ListSection<AdhesionTest>
 */
final class AdhesionSection extends ListSection
{
    public function kind(): string
    {
        return 'adhesion';
    }

    public function section(): string
    {
        return 'adhesion';
    }

    public function definition(): string
    {
        return 'AdhesionTest';
    }

    protected function readRow(Node $node, Reading $reading): AdhesionTest
    {
        return AdhesionFormat::read($node, $reading->materials());
    }

    protected function writeRow(object $row): array
    {
        return AdhesionFormat::write($row);
    }

    /** What sticks anywhere is settled by them. */
    public function isBase(): bool
    {
        return true;
    }

    protected function title(object $row): string
    {
        return "$row->product, $row->on";
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }
}
