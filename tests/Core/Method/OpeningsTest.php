<?php

declare(strict_types=1);

use Apron\Detail\DetailWriter;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\DetailsSection;
use Apron\Rules\Finding;
use Opis\JsonSchema\Validator;

function schedule(array $rows, array $project = []): array
{
    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'Schedule', 'units' => 'si'] + $project,
        'openings' => $rows,
    ];
}

function row(string $generator, array $parameters = [], string $id = 'w1'): array
{
    return [
        'id' => $id,
        'title' => "Window $id",
        'generator' => $generator,
        'parameters' => $parameters + usualSizes($generator, 1250.5),
    ];
}

it(
    'makes an opening of the schedule as its method does, judges it the same, and writes only what was stated',
    function (string $generator) {
        $file = schedule([row($generator)]);
        $project = readProject($file);
        $made = Methods::named($generator)->make(
            'w1',
            'Window w1',
            array_map(floatval(...), $file['openings'][0]['parameters']),
            new Materials([], new Catalogue),
        );
        expect(DetailWriter::write($project->details[0]))
            ->toEqual(DetailWriter::write($made))
            ->and($project->of(DetailsSection::class))
            ->toBe([]);

        $spelt = ['details' => [DetailWriter::write($made)], 'openings' => []] + $file;
        $keys = fn (array $f) => array_map(
            fn (Finding $found) => $found->key(),
            (new Assessment(readProject($f)))->findings,
        );
        expect($keys($file))->toBe($keys($spelt))->not->toBe([]);

        $once = ProjectFormat::write($project);
        expect(json_decode($once, true)['openings'])
            ->toEqual($file['openings'])
            ->and(json_decode($once, true))
            ->not->toHaveKey('details')
            ->and(ProjectFormat::write(ProjectFormat::parse($once, new Catalogue)))
            ->toBe($once)
            ->and(
                (new Validator)
                    ->validate(
                        json_decode($once),
                        file_get_contents(dirname(__DIR__, 3).'/docs/formats/project.schema.json'),
                    )
                    ->isValid(),
            )
            ->toBeTrue();
    },
)->with(Methods::openings());

it('lets the wind and the schools of the project reach every opening that does not say otherwise', function () {
    $rows = [
        row('flanged-unit-in-self-adhered'),
        row('flanged-unit-in-self-adhered', ['head' => 'shingle', 'head_of_water_mm' => 12], 'w2'),
    ];
    $plain = readProject(schedule($rows));
    $settled = readProject(schedule($rows, ['wind_pressure_pa' => 300, 'schools' => ['head' => 'reverse-lap']]));
    // Lapped in reverse, the head strip's top relies on a seal; shingled, what gets behind the flap comes out again.
    $worst = fn ($project) => array_map(fn ($detail) => $detail->worst()->told(), (new Assessment($project))->details);
    expect($worst($plain))
        ->toBe(['recovered', 'recovered'])
        ->and($worst($settled))
        ->toBe(['relies on seal', 'recovered'])
        ->and($settled->details[0]->opening->headOfWater)
        ->toEqualWithDelta(300 / 9.81, 1e-9)
        ->and($settled->details[1]->opening->headOfWater)
        ->toBe(12.0)
        // What the project settled does not creep into the row.
        ->and(json_decode(ProjectFormat::write($settled), true)['openings'])
        ->toEqual($rows);
});

it('keeps the details that stand piece by piece and the schedule in two lists of one set of ids', function () {
    $file = demoFile();
    $project = readProject($file);
    expect(array_keys($project->of(DetailsSection::class)))
        ->toBe(array_column($file['details'], 'id'))
        ->and(array_map(fn ($d) => $d->id, $project->details))
        ->toBe([...array_column($file['details'], 'id'), ...array_column($file['openings'], 'id')])
        ->and($project->detail('o11')->title)
        ->toBe('Stair window, 600 × 2400');
});
