<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Project\Section\AcceptancesSection;
use Apron\Project\Section\AdhesionSection;
use Apron\Project\Section\AskedSection;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\BriefSection;
use Apron\Project\Section\BuildingSection;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\MaterialsSection;
use Apron\Project\Section\OpeningsSection;
use Apron\Project\Section\PlaneSectionsSection;
use Apron\Project\Section\PlanSection;
use Apron\Project\Section\RunsSection;
use Apron\Project\Section\SiteSection;
use Apron\Project\Section\SystemsSection;
use Apron\Project\Section\TakeoffSection;
use Apron\Project\Section\TestsSection;
use Apron\Project\Section\TrainingSection;
use Apron\Project\Section\WeatherSection;

/**
 * All sections of the project file, in its order: each stands on none but those before it. A new step of the work is
 * one more class here.
 */
final readonly class Sections
{
    private const USUAL = [
        BriefSection::class,
        WeatherSection::class,
        MaterialsSection::class,
        SystemsSection::class,
        AdhesionSection::class,
        AssembliesSection::class,
        DetailsSection::class,
        OpeningsSection::class,
        BuildingSection::class,
        PlaneSectionsSection::class,
        RunsSection::class,
        TakeoffSection::class,
        PlanSection::class,
        TestsSection::class,
        AskedSection::class,
        TrainingSection::class,
        SiteSection::class,
        AcceptancesSection::class,
    ];

    /** @param  list<Section<mixed>>  $all */
    private function __construct(public array $all)
    {
    }

    public static function usual(): self
    {
        /** @var self|null $usual */
        static $usual = null;

        return $usual ??= new self(array_map(fn (string $class): Section => new $class, self::USUAL));
    }

    /** @param  Section<mixed>  $more */
    public function with(Section $more): self
    {
        return new self([...$this->all, $more]);
    }

    /** @return list<string> of the top of the file, in its order */
    public function keys(): array
    {
        return array_merge(...array_map(fn (Section $section): array => array_keys($section->schema()), $this->all));
    }

    /** @return list<DocumentSection<mixed>> */
    public function documents(): array
    {
        return array_values(
            array_filter($this->all, fn (Section $section): bool => $section instanceof DocumentSection),
        );
    }

    /** @return list<ListSection<covariant object{id: string}>> */
    public function lists(): array
    {
        return array_values(array_filter($this->all, fn (Section $section): bool => $section instanceof ListSection));
    }

    /** @return DocumentSection<mixed>|null */
    public function ofKind(string $kind): ?DocumentSection
    {
        foreach ($this->documents() as $section) {
            if ($section->kind() === $kind) {
                return $section;
            }
        }

        return null;
    }

    /** @return array<string, array<string, mixed>> the JSON schema of each key */
    public function schema(): array
    {
        return array_merge(...array_map(fn (Section $section): array => $section->schema(), $this->all));
    }
}
