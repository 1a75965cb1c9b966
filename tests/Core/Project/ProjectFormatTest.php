<?php

declare(strict_types=1);

use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Opening\Presets;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Opis\JsonSchema\Validator;

function valid(string $json, string $schema): bool
{
    $validator = new Validator;

    return $validator
        ->validate(json_decode($json), file_get_contents(__DIR__."/../../../docs/formats/$schema.schema.json"))
        ->isValid();
}

function generatedProject(int $seed): array
{
    mt_srand($seed);
    $catalogue = new Catalogue;
    $solids = array_values(array_filter($catalogue->all(), fn ($m) => ! $m->isAir() && $m->conductivity !== null));
    $file = demoFile();
    unset($file['site']);
    $file['project'] = ['name' => "Generated $seed – ü", 'units' => $seed % 2 ? 'us' : 'si'];
    $file['indoor'] = ['kind' => 'humidity-class', 'class' => mt_rand(1, 3), 'temperature_c' => 21.5, 'margin' => 0.9];
    $file['assemblies'] = array_map(
        fn (int $n) => [
            'id' => "a$n",
            'name' => "Assembly $n",
            'kind' => ['wall', 'roof', 'floor', 'foundation'][$n % 4],
            'layers' => array_map(
                fn (int $l) => [
                    'id' => "l$l",
                    'material' => $solids[mt_rand(0, count($solids) - 1)]->id,
                    'thickness_mm' => mt_rand(1, 30000) / 100,
                    'controls' => [['water', 'air', 'vapour', 'heat'][mt_rand(0, 3)]],
                ],
                range(1, mt_rand(1, 8)),
            ),
        ],
        range(1, 4),
    );
    $detail = Presets::all()['flanged-unit-in-fastened-sheet']->make(
        'o1',
        'O',
        ['width_mm' => mt_rand(400, 3000), 'height_mm' => mt_rand(400, 2500) + 0.5, 'depth_mm' => mt_rand(90, 300)],
        new Materials([], $catalogue),
    );
    $file['details'] = [Apron\Detail\DetailWriter::write($detail)];

    return $file;
}

it('writes what it read, byte for byte, and to its own schema', function (array $file) {
    $once = ProjectFormat::write(readProject($file));
    expect(ProjectFormat::write(ProjectFormat::parse($once, new Catalogue)))
        ->toBe($once)
        ->and(valid($once, 'project'))
        ->toBeTrue();
    $assessment = json_encode(
        (new Assessment(readProject($file)))->toArray(new Words(UnitSystem::SI)),
        JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
    );
    expect(valid($assessment, 'assessment'))->toBeTrue();
})->with([
    'the demo' => fn () => demoFile(),
    ...array_map(fn (int $seed) => fn () => generatedProject($seed), range(1, 12)),
]);

it('ships its demo as it would write it, its sequence as it would generate it', function () {
    $json = file_get_contents(__DIR__.'/../../../database/demo/project.json');
    $project = ProjectFormat::parse($json, new Catalogue);
    expect(ProjectFormat::write($project))->toBe($json);
    $stored = $project->details[0];
    $made = Presets::all()['flanged-unit-in-fastened-sheet']->make(
        $stored->id,
        $stored->title,
        $stored->generated->parameters,
        $project->materials,
    );
    expect(Apron\Detail\DetailWriter::write($made))->toEqual(Apron\Detail\DetailWriter::write($stored));
});

it('has words for every code it can conclude, in both systems', function () {
    $codes = [];
    $core = __DIR__.'/../../../core/src';
    foreach ([...glob("$core/*/*.php"), ...glob("$core/*/*/*.php")] as $source) {
        preg_match_all(
            "/new Finding\(\s*(['\"])([a-z][\w.\-]*?)(?:\.\\\$suffix)?\\1/",
            file_get_contents($source),
            $found,
        );
        $codes = [...$codes, ...$found[2]];
    }
    $words = new Words(UnitSystem::US);
    expect(count(array_unique($codes)))->toBeGreaterThan(25);
    foreach ($codes as $code) {
        expect($words->has($code) || ($words->has("$code.interface") && $words->has("$code.within")))->toBeTrue($code);
    }
});

it('names a finding by codes and ids, so that moving a layer does not rename it', function () {
    $keys = fn (array $file) => array_map(fn (Finding $f) => $f->key(), (new Assessment(readProject($file)))->findings);
    $file = demoFile();
    $before = array_filter($keys($file), fn (string $k) => str_contains($k, '/layers/'));
    array_unshift($file['assemblies'][1]['layers'], [
        'id' => 'new',
        'material' => 'gypsum-board',
        'thickness_mm' => 12.7,
    ]);
    expect($before)->not->toBe([])->and(array_diff($before, $keys($file)))->toBe([]);
});

it('says which control is missing, doubled or contradicted', function (array $controls, array $codes) {
    $file = demoFile();
    foreach ($file['assemblies'][0]['layers'] as $i => $layer) {
        unset($file['assemblies'][0]['layers'][$i]['controls']);
        if (isset($controls[$layer['id']])) {
            $file['assemblies'][0]['layers'][$i]['controls'] = $controls[$layer['id']];
        }
    }
    $file['assemblies'] = [$file['assemblies'][0]];
    $found = array_filter(
        array_map(fn (Finding $f) => $f->code, (new Assessment(readProject($file)))->findings),
        fn (string $c) => str_starts_with($c, 'control.'),
    );
    sort($found);
    expect($found)->toBe($codes);
})->with([
    'none' => [[], ['control.none-named']],
    'all' => [['l1' => ['vapour'], 'l2' => ['water', 'air'], 'l3' => ['heat']], ['control.complete']],
    'no heat' => [['l1' => ['vapour'], 'l2' => ['water', 'air']], ['control.missing']],
    'vapour on an open membrane' => [
        ['l2' => ['water', 'air', 'vapour'], 'l3' => ['heat']],
        ['control.vapour-too-open'],
    ],
    'air on wool' => [['l1' => ['vapour'], 'l2' => ['water'], 'l3' => ['heat', 'air']], ['control.air-too-leaky']],
    'water on timber' => [['l1' => ['vapour', 'water'], 'l2' => ['air'], 'l3' => ['heat']], ['control.water-soaks']],
    'heat on a panel' => [
        ['l1' => ['vapour'], 'l2' => ['water', 'air'], 'l5' => ['heat']],
        ['control.heat-no-insulation'],
    ],
    'air twice' => [['l1' => ['vapour', 'air'], 'l2' => ['water', 'air'], 'l3' => ['heat']], ['control.doubled']],
]);
