<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Contact\AskedFormat;
use Apron\Contact\AskedPair;
use Apron\Contact\Contacts;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * Pairs of materials that were asked about directly, kept with their answers.
 *
 * @extends ListSection<AskedPair>
 */
final class AskedSection extends ListSection
{
    public function kind(): string
    {
        return 'asked';
    }

    public function section(): string
    {
        return 'asked';
    }

    public function definition(): string
    {
        return 'AskedPair';
    }

    protected function readRow(Node $node, Reading $reading): AskedPair
    {
        return AskedFormat::read($node, $reading->materials());
    }

    protected function writeRow(object $row): array
    {
        return AskedFormat::write($row);
    }

    protected function title(object $row): string
    {
        return "{$row->touch->a->name}, {$row->touch->b->name}";
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function contacts(Project $project, object $row): Contacts
    {
        return $row->contacts();
    }

    protected function materials(object $row): array
    {
        return [$row->touch->a->id => $row->touch->a, $row->touch->b->id => $row->touch->b];
    }
}
