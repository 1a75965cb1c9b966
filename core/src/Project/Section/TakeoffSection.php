<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Building\Envelope;
use Apron\Json\Node;
use Apron\Project\OneSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Told;
use Apron\Rules\Words;
use Apron\Takeoff\Amount;
use Apron\Takeoff\Takeoff;
use Apron\Takeoff\TakeoffAssessment;
use Apron\Takeoff\TakeoffFormat;

/**
 * What is settled for the quantities: one document; a building without it is taken off as is usual.
 *
 * @extends OneSection<Takeoff>
 */
final class TakeoffSection extends OneSection
{
    public function kind(): string
    {
        return 'takeoff';
    }

    public function definition(): string
    {
        return 'Takeoff';
    }

    public function read(Node $file, Reading $reading): ?Takeoff
    {
        $node = $file->optional($this->section());

        return $node === null
            ? null
            : $reading->rows->one($this->section(), $node, fn (): Takeoff => TakeoffFormat::read($node));
    }

    public function write(Project $project): array
    {
        $takeoff = $project->of(self::class);

        return $takeoff === null ? [] : [$this->section() => TakeoffFormat::write($takeoff)];
    }

    /** The quantities of a project; null where it has no building. */
    public static function assess(Project $project): ?TakeoffAssessment
    {
        $building = $project->of(BuildingSection::class);
        if ($building === null) {
            return null;
        }

        return new TakeoffAssessment(
            $project->of(self::class) ?? new Takeoff,
            new Envelope($building, BuildingSection::sizesOf($project->details)),
            array_column($project->assemblies, null, 'id'),
            array_column($project->details, null, 'id'),
            $project->materials,
        );
    }

    /** @return array<string, mixed> what is told of quantities, by key of `apron-assessment/1` */
    public static function figures(TakeoffAssessment $assessed): array
    {
        return [
            'quantities' => array_map(fn (Amount $amount): array => $amount->toArray(), $assessed->amounts),
            'layouts' => $assessed->layouts(),
            'takeoff' => $assessed->toArray(),
        ];
    }

    public function findings(Project $project): array
    {
        return $project->of(self::class) === null ? [] : self::assess($project)?->findings() ?? [];
    }

    public function standsOn(\stdClass $content): array
    {
        return [(new BuildingSection)->kind()];
    }

    public function told(Project $project, string $key, Words $words): Told
    {
        $assessed = self::assess($project);
        if ($assessed === null) {
            return new Told(title: 'the quantities');
        }

        return new Told(
            $assessed->findings(),
            self::figures($assessed),
            array_map(strval(...), array_keys($project->used())),
            title: 'the quantities',
            documents: [
                ...array_map(fn ($assembly): string => $assembly->id, $project->assemblies),
                ...array_map(fn ($detail): string => $detail->id, $project->details),
            ],
        );
    }
}
