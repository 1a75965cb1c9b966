<?php

namespace Apron\File;

use Apron\Assembly\SurfaceFilms;
use Apron\Climate\Condition;
use Apron\Detail\Detail;
use Apron\Inspection\SiteEvent;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Project;
use Apron\Quantity\UnitSystem;
use Apron\Schools;
use Apron\Sequence\ScheduledOpening;

/** The one door: a project file in, a Project out, and back. */
final class ProjectFormat
{
    public const FORMAT = 'apron-project/1';

    private const SECTIONS = ['format', 'project', 'climate', 'indoor', 'conditions', 'materials', 'assemblies', 'details', 'openings', 'training', 'site'];

    /** @throws FileRefused */
    public static function parse(string $json, Catalogue $catalogue): Project
    {
        return self::read(Node::parse($json), $catalogue);
    }

    /** @throws FileRefused */
    public static function read(Node $node, Catalogue $catalogue): Project
    {
        $node->object(self::SECTIONS, ['format', 'project']);
        $node->get('format')->word([self::FORMAT]);
        $project = $node->get('project')->object(['name', 'units', 'schools', 'wind_pressure_pa'], ['name', 'units']);
        $climate = $node->has('climate') ? ClimateFormat::climate($node->get('climate')) : null;
        $materials = new Materials(self::byId($node->optional('materials'), MaterialFormat::read(...)), $catalogue);

        $schools = self::schools($project->optional('schools'));
        $wind = $project->optional('wind_pressure_pa')?->positive(5000, 'Pa', 0.1);
        $details = self::byId($node->optional('details'), fn (Node $n) => DetailFormat::read($n, $materials));
        $openings = self::byId($node->optional('openings'), fn (Node $n) => OpeningFormat::read($n, $materials, $schools, Project::headOf($wind)), $details);
        $films = SurfaceFilms::from($schools['films'] ?? 'iso');

        return new Project(
            name: $project->get('name')->text(),
            units: $project->get('units')->oneOf(UnitSystem::class),
            schools: $schools,
            windPressure: $wind,
            climate: $climate,
            indoors: $node->has('indoor') ? ClimateFormat::indoors($node->get('indoor'), $climate) : null,
            conditions: array_map(ClimateFormat::condition(...), $node->optional('conditions')?->items() ?? []),
            materials: $materials,
            assemblies: array_values(self::byId($node->optional('assemblies'), fn (Node $n) => AssemblyFormat::read($n, $materials, $films, $climate))),
            details: [...array_values($details), ...array_map(fn (ScheduledOpening $row): Detail => $row->detail, array_values($openings))],
            openings: array_values($openings),
            training: array_map(TrainingFormat::read(...), $node->optional('training')?->items() ?? []),
            site: $node->has('site') ? SiteFormat::read($node->get('site')) : null,
        );
    }

    public static function write(Project $project): string
    {
        return Written::json(self::document($project));
    }

    /** @return array<string, mixed> */
    public static function document(Project $project): array
    {
        $events = $project->site ?? [];
        usort($events, SiteEvent::order(...));

        return Written::without([
            'format' => self::FORMAT,
            'project' => self::head($project),
            'climate' => $project->climate === null ? null : ClimateFormat::writeClimate($project->climate),
            'indoor' => $project->indoors === null ? null : ClimateFormat::writeIndoors($project->indoors),
            'conditions' => array_map(fn (Condition $c): array => ClimateFormat::writeCondition($c), $project->conditions),
            'materials' => array_map(fn (Material $m): array => MaterialFormat::write($m), array_values($project->materials->own)),
            'assemblies' => array_map(AssemblyFormat::write(...), $project->assemblies),
            'details' => array_map(fn (Detail $d): array => DetailWriter::write($d), $project->ownDetails()),
            'openings' => array_map(OpeningFormat::write(...), $project->openings),
            'training' => array_map(TrainingFormat::write(...), $project->training),
            'site' => $events === [] ? null : ['events' => array_map(SiteFormat::write(...), $events)],
        ]);
    }

    /** @return array<string, mixed> */
    public static function head(Project $project): array
    {
        return Written::without([
            'name' => $project->name,
            'units' => $project->units->value,
            'schools' => $project->schools,
            'wind_pressure_pa' => $project->windPressure,
        ]);
    }

    /** @return array<string, string> */
    private static function schools(?Node $node): array
    {
        $schools = [];
        foreach ($node?->object(array_keys(Schools::answers()))->entries() ?? [] as $question => $choice) {
            $schools[$question] = $choice->word(Schools::answers()[$question]);
        }

        return $schools;
    }

    /**
     * @template T of object{id: string}
     *
     * @param  callable(Node): T  $read
     * @param  array<string, object>  $beside  rows of another list whose ids are taken too
     * @return array<string, T> by id
     */
    private static function byId(?Node $list, callable $read, array $beside = []): array
    {
        $rows = [];
        foreach ($list?->items() ?? [] as $node) {
            $row = $read($node);
            if (isset($rows[$row->id]) || isset($beside[$row->id])) {
                $node->get('id')->refuse('an id that no other in this list has'.($beside === [] ? '' : ', nor a detail'));
            }
            $rows[$row->id] = $row;
        }

        return $rows;
    }
}
