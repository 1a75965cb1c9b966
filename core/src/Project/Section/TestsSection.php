<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Building\Envelope;
use Apron\Detail\Detail;
use Apron\FieldTest\FanAssessment;
use Apron\FieldTest\FanSheet;
use Apron\FieldTest\TestFormat;
use Apron\FieldTest\TestSheet;
use Apron\FieldTest\WaterTest;
use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Rules\Assessed;
use Apron\Trace\DetailAssessment;
use Apron\Trace\Outcome;
use Apron\Trace\School;

/**
 * Tests in the field.
 *
 * @extends ListSection<TestSheet>
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

    protected function readRow(Node $node, Reading $reading): TestSheet
    {
        return TestFormat::read($node);
    }

    protected function writeRow(object $row): array
    {
        return TestFormat::write($row);
    }

    protected function assess(Project $project, object $row): Assessed
    {
        if ($row instanceof WaterTest) {
            $detail = self::detail($project, $row->head->place);

            return $detail === null ? $row : $row->beside(self::expected($project, $detail));
        }
        if (! $row instanceof FanSheet) {
            return $row instanceof Assessed ? $row : throw new \LogicException('a test that says nothing');
        }
        $other = $project->of(self::class)[$row->otherWay ?? ''] ?? null;
        $other = $other instanceof FanSheet ? self::filled($project, $other) : null;

        return new FanAssessment(self::filled($project, $row), $other);
    }

    private static function filled(Project $project, FanSheet $sheet): FanSheet
    {
        $target = $project->brief->airTarget;
        $targets = $target === null ? [] : [$target->unit->value => $target->value];
        $building = $sheet->volume === null || $sheet->envelope === null ? $project->of(BuildingSection::class) : null;
        $envelope = $building === null
            ? null
            : new Envelope($building, BuildingSection::sizesOf($project->details));

        return $sheet->filled($envelope?->volume, $envelope?->area(), $targets);
    }

    private static function detail(Project $project, ?string $id): ?Detail
    {
        foreach ($project->details as $detail) {
            if ($detail->id === $id) {
                return $detail;
            }
        }

        return null;
    }

    /** @return array<string, string> the worst that the rain trace expects, by facet */
    private static function expected(Project $project, Detail $detail): array
    {
        // Where no water ends none is expected: what comes in there was built otherwise than drawn.
        $expected = array_fill_keys(array_keys($detail->facets), Outcome::Shed);
        foreach ((new DetailAssessment($detail, School::of($project->brief->schools)))->strips as $strip) {
            $facet = $strip->told()->worstAt()[0];
            $worst = ($expected[$facet] ?? Outcome::Shed)->worse($strip->outcome);
            $expected[$facet] = $worst;
        }

        return array_map(fn (Outcome $outcome): string => $outcome->told(), $expected);
    }

    public function standsOn(\stdClass $content): array
    {
        if (($content->kind ?? '') === 'water') {
            return isset($content->place) && is_string($content->place) ? [$content->place] : [];
        }

        if (($content->kind ?? '') !== 'fan') {
            return [];
        }
        $sizes = isset($content->volume_m3, $content->envelope_m2) ? [] : [(new BuildingSection)->kind()];

        $other = $content->other_way ?? null;

        return is_string($other) ? [...$sizes, $other] : $sizes;
    }

    protected function title(object $row): string
    {
        return $row->head->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }
}
