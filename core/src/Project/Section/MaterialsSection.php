<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * The project's own materials, and those of the catalogue that it has used.
 *
 * @extends ListSection<Material>
 */
final class MaterialsSection extends ListSection
{
    public function kind(): string
    {
        return 'material';
    }

    public function section(): string
    {
        return 'materials';
    }

    public function isBase(): bool
    {
        return true;
    }

    public function definition(): string
    {
        return 'Material';
    }

    protected function readRow(Node $node, Reading $reading): Material
    {
        return MaterialFormat::read($node);
    }

    protected function writeRow(object $row): array
    {
        return MaterialFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->name;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }
}
