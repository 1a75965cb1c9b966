<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Contact\System;
use Apron\Contact\SystemFormat;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * Lists of products that were tested or are warranted together.
 *
 * @extends ListSection<System>
 */
final class SystemsSection extends ListSection
{
    public function kind(): string
    {
        return 'system';
    }

    public function section(): string
    {
        return 'systems';
    }

    public function definition(): string
    {
        return 'System';
    }

    protected function readRow(Node $node, Reading $reading): System
    {
        return SystemFormat::read($node, $reading->materials());
    }

    protected function writeRow(object $row): array
    {
        return SystemFormat::write($row);
    }

    /** What touches anywhere is settled by them. */
    public function isBase(): bool
    {
        return true;
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
