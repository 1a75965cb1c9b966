<?php

namespace Apron\Project;

use Apron\Assembly\AssemblyFormat;
use Apron\Assembly\SurfaceFilms;
use Apron\Climate\ClimateFormat;
use Apron\Climate\Condition;
use Apron\Crew\TrainingFormat;
use Apron\Detail\Detail;
use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Rows;
use Apron\Json\Written;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Material\Materials;
use Apron\Method\OpeningFormat;
use Apron\Method\ScheduledOpening;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;

/** The one door: a project file in, a Project out, and back. */
final class ProjectFormat
{
    public const FORMAT = 'apron-project/1';

    /** Cases tried on every assembly; more would be a study and not a brief. */
    private const MOST_CONDITIONS = 50;

    private const SECTIONS = ['format', 'project', 'climate', 'indoor', 'conditions', 'materials', 'assemblies', 'details', 'openings', 'training', 'site'];

    /** @throws FileRefused */
    public static function parse(string $json, Catalogue $catalogue): Project
    {
        return self::read(Node::parse($json), $catalogue);
    }

    /** A file as somebody brings it: one part that cannot be used refuses it. @throws FileRefused */
    public static function read(Node $node, Catalogue $catalogue): Project
    {
        return self::readRows($node, $catalogue, Rows::refusing());
    }

    /** What is stored of a project, parts of which a later release may no longer read: those are named in `broken` and left out. */
    public static function stored(Node $node, Catalogue $catalogue): Project
    {
        return self::readRows($node, $catalogue, Rows::settingAside());
    }

    private static function readRows(Node $node, Catalogue $catalogue, Rows $rows): Project
    {
        $node->object(self::SECTIONS, ['format', 'project']);
        $node->get('format')->word([self::FORMAT]);
        $project = $node->get('project')->object(['name', 'units', 'schools', 'wind_pressure_pa'], ['name', 'units']);
        $climate = $node->has('climate') ? $rows->one('brief', null, fn () => ClimateFormat::climate($node->get('climate'))) : null;
        $materials = new Materials($rows->byId('materials', $node->optional('materials'), MaterialFormat::read(...)), $catalogue);

        $schools = $rows->one('brief', null, fn () => self::schools($project->optional('schools'))) ?? [];
        $wind = $rows->one('brief', null, fn () => $project->optional('wind_pressure_pa')?->positive(5000, 'Pa', 0.1));
        $details = $rows->byId('details', $node->optional('details'), fn (Node $n) => DetailFormat::read($n, $materials));
        $openings = $rows->byId('openings', $node->optional('openings'), fn (Node $n) => OpeningFormat::read($n, $materials, $schools, Project::headOf($wind)), $details);
        $films = SurfaceFilms::from($schools['films'] ?? 'iso');

        return new Project(
            name: $project->get('name')->text(),
            units: $project->get('units')->oneOf(UnitSystem::class),
            schools: $schools,
            windPressure: $wind,
            climate: $climate,
            indoors: $node->has('indoor') ? $rows->one('brief', null, fn () => ClimateFormat::indoors($node->get('indoor'), $climate)) : null,
            conditions: $rows->all('brief', $node->optional('conditions')?->listOf(self::MOST_CONDITIONS), ClimateFormat::condition(...)),
            materials: $materials,
            assemblies: array_values($rows->byId('assemblies', $node->optional('assemblies'), fn (Node $n) => AssemblyFormat::read($n, $materials, $films, $climate))),
            details: [...array_values($details), ...array_map(fn (ScheduledOpening $row): Detail => $row->detail, array_values($openings))],
            openings: array_values($openings),
            training: $rows->all('training', $node->optional('training'), TrainingFormat::read(...)),
            site: $node->has('site') ? SiteFormat::read($node->get('site'), $rows) : null,
            broken: $rows->broken,
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
}
