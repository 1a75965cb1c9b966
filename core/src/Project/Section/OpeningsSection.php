<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Contact\Contacts;
use Apron\Inspection\DetailChecks;
use Apron\Json\Node;
use Apron\Method\OpeningFormat;
use Apron\Method\ScheduledOpening;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;

/**
 * The opening schedule: each row makes a detail, which is judged as every other.
 *
 * @extends ListSection<ScheduledOpening>
 */
final class OpeningsSection extends ListSection
{
    public function kind(): string
    {
        return 'opening';
    }

    public function section(): string
    {
        return 'openings';
    }

    public function figuresIn(): string
    {
        return 'details';
    }

    public function figuresAreShort(): bool
    {
        return false;
    }

    public function definition(): string
    {
        return 'ScheduledOpening';
    }

    public function sharing(): array
    {
        return ['detail', 'opening'];
    }

    public function replace(array $file, ?string $key, Node $content): array
    {
        return ['details' => self::without($file['details'] ?? [], $key)] + parent::replace($file, $key, $content);
    }

    protected function taken(Reading $reading): array
    {
        return $reading->of(DetailsSection::class);
    }

    protected function readRow(Node $node, Reading $reading): ScheduledOpening
    {
        $brief = $reading->of(BriefSection::class);

        return OpeningFormat::read($node, $reading->materials(), $brief, $reading->of(AssembliesSection::class));
    }

    protected function writeRow(object $row): array
    {
        return OpeningFormat::write($row);
    }

    protected function title(object $row): string
    {
        return $row->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): DetailAssessment
    {
        return new DetailAssessment($row->detail, School::of($project->brief->schools), $row->inWall);
    }

    protected function materials(object $row): array
    {
        return $row->detail->materials();
    }

    protected function contacts(Project $project, object $row): Contacts
    {
        return DetailsSection::contactsOf($project, $row->detail, $row->between);
    }

    protected function checks(Project $project, object $row): array
    {
        return DetailChecks::of($row->detail);
    }
}
