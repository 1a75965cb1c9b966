<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Building\Building;
use Apron\Building\BuildingAssessment;
use Apron\Building\BuildingFormat;
use Apron\Building\Envelope;
use Apron\Building\JointKind;
use Apron\Building\Proof;
use Apron\Building\Proofs;
use Apron\Building\SectionProof;
use Apron\Climate\ClimateZone;
use Apron\Conduction\PlaneAssessment;
use Apron\Conduction\SectionHeat;
use Apron\Crew\FramersList;
use Apron\Detail\Detail;
use Apron\Json\Node;
use Apron\Method\Proposals;
use Apron\Project\OneSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Told;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Words;
use Apron\Trace\Check\AirLine;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;
use Apron\Trace\StripResult;

/**
 * The building: one document; null where the project has none.
 *
 * @extends OneSection<Building>
 */
final class BuildingSection extends OneSection
{
    public function kind(): string
    {
        return 'building';
    }

    public function definition(): string
    {
        return 'Building';
    }

    public function read(Node $file, Reading $reading): ?Building
    {
        $node = $file->optional($this->section());
        if ($node === null) {
            return null;
        }

        return $reading->rows->one($this->section(), $node, function () use ($node, $reading): Building {
            $building = BuildingFormat::read($node);
            // What is typed is refused where it cannot stand; what outgrew its place since is kept, and said.
            $misplaced = $reading->rows->refusing ? (new Envelope($building, self::sizes($reading)))->misplaced : [];
            foreach ($misplaced as $wrong) {
                $node->get($wrong->list)->items()[$wrong->at]->refuse($wrong->expected, $wrong->found);
            }

            return $building;
        });
    }

    /** @return array<string, array{float, float}> width and height of openings by id, mm */
    private static function sizes(Reading $reading): array
    {
        $details = $reading->of(DetailsSection::class);
        foreach ($reading->of(OpeningsSection::class) as $row) {
            $details[$row->id] = $row->detail;
        }

        return self::sizesOf($details);
    }

    /**
     * @param  iterable<Detail>  $details
     * @return array<string, array{float, float}>
     */
    public static function sizesOf(iterable $details): array
    {
        $sizes = [];
        foreach ($details as $detail) {
            if ($detail->opening !== null) {
                $sizes[$detail->id] = [$detail->opening->width, $detail->opening->height];
            }
        }

        return $sizes;
    }

    public function write(Project $project): array
    {
        $building = $project->of(self::class);

        return $building === null ? [] : [$this->section() => BuildingFormat::write($building)];
    }

    /** What is derived of it, and said; null where the project has no building. */
    public static function assess(Project $project): ?BuildingAssessment
    {
        $building = $project->of(self::class);
        if ($building === null) {
            return null;
        }
        $assemblies = array_column($project->assemblies, null, 'id');
        $envelope = new Envelope($building, self::sizesOf($project->details));

        return new BuildingAssessment(
            $envelope,
            $assemblies,
            self::proofs($project),
            self::asksVapour($project),
            $project->brief->airTarget,
        );
    }

    /**
     * The building as `apron-assessment/1` has it, with what follows from other sections: the method that each joint
     * without a detail could be made by, and what the framer prepares, as often as it is built.
     *
     * @return array<string, mixed>
     */
    public static function toArray(Project $project, BuildingAssessment $assessed, Words $words): array
    {
        $proposals = new Proposals(
            array_column($project->assemblies, null, 'id'),
            $project->brief,
            $project->materials,
        );
        $named = self::named($project);
        $details = array_values(
            array_filter($project->details, fn (Detail $detail): bool => isset($named[$detail->id])),
        );
        // However they were read: an answer put together of parts is the same as the whole.
        usort($details, fn (Detail $a, Detail $b): int => strnatcmp($a->id, $b->id));
        $times = [];
        foreach ($details as $detail) {
            $times[$detail->title] = ($times[$detail->title] ?? 0) + $named[$detail->id];
        }

        return [
            ...$assessed->toArray(),
            'proposals' => array_map(
                fn (array $row): array => [
                    'kind' => $row['kind'],
                    'between' => $row['between'],
                    'upright' => $row['upright'],
                    ...$proposals->at(JointKind::from($row['kind']), $row['between'], $row['upright']),
                ],
                array_values(
                    array_filter(
                        $assessed->gathered->undetailed(),
                        fn (array $row): bool => ! in_array('', $row['between'], true),
                    ),
                ),
            ),
            'framer' => array_map(
                fn (array $row): array => $row + [
                    'times' => array_sum(array_map(fn (string $title): int => $times[$title] ?? 0, $row['for'])),
                ],
                FramersList::gathered($details, $words),
            ),
        ];
    }

    /** @return array<string, int> by id of a detail, in how many places it stands; 0 where a connection names it */
    private static function named(Project $project): array
    {
        $building = $project->of(self::class);
        $named = [];
        foreach ($building->placed ?? [] as $placed) {
            $named[$placed->detail] = ($named[$placed->detail] ?? 0) + $placed->count;
        }
        foreach ($building->connections ?? [] as $connection) {
            $named += $connection->detail === null ? [] : [$connection->detail => 0];
        }

        return $named;
    }

    /** What the details and sections that are named prove. */
    private static function proofs(Project $project): Proofs
    {
        $proofs = $sections = [];
        foreach (array_keys(self::named($project)) as $id) {
            $detail = $project->detail((string) $id);
            if ($detail !== null && $detail->pieces !== []) {
                $proofs[(string) $id] = self::proof($detail, School::of($project->brief->schools));
            }
        }
        $known = $project->of(PlaneSectionsSection::class);
        foreach ($project->of(self::class)->connections ?? [] as $connection) {
            $section = $known[$connection->section ?? ''] ?? null;
            if ($section !== null) {
                $heat = SectionHeat::of($section);
                $sections[$section->id] = new SectionProof(
                    $heat->psi,
                    PlaneAssessment::isWet($heat->factor, $project->brief),
                );
            }
        }

        return new Proofs($proofs, $sections);
    }

    /** Water by the rain on it, air by its air line, where it has a unit. */
    private static function proof(Detail $detail, School $school): Proof
    {
        $assessed = new DetailAssessment($detail, $school);
        $leaks = array_filter($assessed->strips, fn (StripResult $s): bool => $s->severity === Severity::Fail);
        $open = array_filter(
            $assessed->of(AirLine::class)->findings(),
            fn (Finding $f): bool => $f->severity === Severity::Fail,
        );

        return new Proof(
            $leaks === [] ? '' : "$detail->id: the rain gets in",
            $detail->opening === null ? null : ($open === [] ? '' : "$detail->id: its air line is open"),
        );
    }

    /** Where tables of practice ask for a vapour layer; where nobody knows the climate it is asked for. */
    private static function asksVapour(Project $project): bool
    {
        $zone = $project->brief->climate?->zone;

        return $zone === null ||
            RuleFigures::of('practice')->cell('wall_exterior_r', ClimateZone::row($zone), 'shallow') !== null;
    }

    public function findings(Project $project): array
    {
        return self::assess($project)?->findings() ?? [];
    }

    public function standsOn(\stdClass $content): array
    {
        $named = ['wall', 'foundation', 'roof', 'slab', 'soffit', 'floor', 'assembly', 'opening', 'detail', 'section'];
        $leaves = json_decode((string) json_encode($content), true);
        $ids = [];
        if (is_array($leaves)) {
            // Of an edge the assembly stands under its number.
            array_walk_recursive($leaves, function (mixed $value, int|string $key) use (&$ids, $named): void {
                if (is_string($value) && (is_int($key) || in_array($key, $named, true))) {
                    $ids[] = $value;
                }
            });
        }

        return array_values(array_unique($ids));
    }

    public function told(Project $project, string $key, Words $words): ?Told
    {
        $assessed = self::assess($project);

        return $assessed === null
            ? null
            : new Told(
                $assessed->findings(),
                [$this->section() => self::toArray($project, $assessed, $words)],
                // What its assemblies and its openings are made of: the U of each follows from that.
                array_map(strval(...), array_keys($project->used())),
                title: 'the building',
            );
    }
}
