<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Acceptance\Acceptance;
use Apron\Acceptance\AcceptanceFormat;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;

/**
 * Findings that somebody has taken on, with name and reason: shown as accepted, never hidden.
 *
 * @extends ListSection<Acceptance>
 */
final class AcceptancesSection extends ListSection
{
    public function kind(): string
    {
        return 'acceptance';
    }

    public function section(): string
    {
        return 'acceptances';
    }

    public function definition(): string
    {
        return 'Acceptance';
    }

    protected function readRow(Node $node, Reading $reading): Acceptance
    {
        return AcceptanceFormat::read($node);
    }

    protected function writeRow(object $row): array
    {
        return AcceptanceFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->key;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    /** @return array<string, Acceptance> by the key of the finding */
    public static function byFinding(Project $project): array
    {
        return array_column($project->of(self::class), null, 'key');
    }
}
