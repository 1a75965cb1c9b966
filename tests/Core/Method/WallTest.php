<?php

declare(strict_types=1);

use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Rules\Finding;

/** A wall of studs, sheathing, a plane and what lies outside of it, and one opening in it. */
function openingInWall(array $layers, array $opening = [], array $parameters = []): array
{
    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'x', 'units' => 'si'],
        'assemblies' => [
            [
                'id' => 'w1',
                'name' => 'North wall',
                'kind' => 'wall',
                'layers' => [
                    ['id' => 'l1', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
                    [
                        'id' => 'l2',
                        'material' => 'mineral-wool-batt',
                        'thickness_mm' => 140,
                        'framing' => ['material' => 'lumber', 'fraction' => 0.15, 'spacing_mm' => 610],
                    ],
                    ['id' => 'l3', 'material' => 'osb', 'thickness_mm' => 11],
                    ...$layers,
                ],
            ],
        ],
        'openings' => [
            $opening + [
                'id' => 'o1',
                'title' => 'O',
                'generator' => 'unit-in-its-wall',
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200] + $parameters,
                'between' => ['w1'],
            ],
        ],
    ];
}

function planeLayer(string $material): array
{
    return ['id' => 'l4', 'material' => $material, 'thickness_mm' => 0.5, 'controls' => ['water', 'air']];
}

function boardLayer(float $mm, string $material = 'mineral-wool-board'): array
{
    return ['id' => 'l5', 'material' => $material, 'thickness_mm' => $mm, 'controls' => ['heat']];
}

/** @return array<string, list<string>> severities by code, of what is said of the opening and its wall */
function saidOfWall(array $file): array
{
    $said = [];
    foreach ((new Assessment(readProject($file)))->findings as $finding) {
        if (str_starts_with($finding->code, 'opening.')) {
            $said[$finding->code][] = $finding->severity->value;
        }
    }

    return $said;
}

it('takes plane, board, depth, material and studs from the wall', function (
    string $plane,
    array $outside,
    string $piece,
    array $expected,
) {
    $file = openingInWall([planeLayer($plane), ...$outside]);
    $detail = readProject($file)->details[0];
    expect($detail->piece($piece)?->material->id)
        ->toBe($plane)
        ->and($detail->opening->depth)
        ->toBe(163.5) // 12.5 + 140 + 11
        ->and($detail->opening->outerBoard)
        ->toBe($expected['board'])
        ->and($detail->piece('boards')?->material->id)
        ->toBe($expected['material'] ?? null)
        ->and(saidOfWall($file))
        ->toBe([]);
})->with([
    'sheet' => ['polyolefin-wrap', [], 'sheet', ['board' => 0.0]],
    'sheet behind wool' => [
        'polyolefin-wrap',
        [boardLayer(75)],
        'sheet',
        ['board' => 75.0, 'material' => 'mineral-wool-board'],
    ],
    'membrane behind two inches of foam' => [
        'membrane-permeable',
        [boardLayer(50.8, 'polyiso-foil')],
        'field',
        ['board' => 50.8, 'material' => 'polyiso-foil'],
    ],
    'coat' => ['fluid-permeable', [], 'field-coat', ['board' => 0.0]],
    'coat behind board' => [
        'fluid-permeable',
        [boardLayer(100)],
        'field-coat',
        ['board' => 100.0, 'material' => 'mineral-wool-board'],
    ],
    'too thin a board is no second plane' => ['polyolefin-wrap', [boardLayer(12, 'xps')], 'sheet', ['board' => 0.0]],
]);

it('dresses a facer or a board that is the plane itself, its studs where the wall has them', function () {
    $facer = ['id' => 'l4', 'material' => 'osb-coated', 'thickness_mm' => 12.7, 'controls' => ['water', 'air']];
    $detail = readProject(openingInWall([$facer]))->details[0];
    $middles = array_map(fn ($m): float => ($m->rect->u0 + $m->rect->u1) / 2, $detail->framing);
    expect($detail->piece('board-lower-left')->material->id)
        ->toBe('osb-coated')
        ->and($detail->opening->depth)
        ->toBe(176.2)
        ->and($middles)
        ->toContain(450.0 + 610.0);
    $foil = ['id' => 'l4', 'material' => 'polyiso-foil', 'thickness_mm' => 38, 'controls' => ['water', 'heat']];
    $said = openingInWall([$foil], [], ['dressing' => 'slit-strips']);
    expect(array_map(fn ($s): string => $s->does, readProject($said)->details[0]->steps))->toContain(
        'insulation-boards',
    );
});

it('follows the wall, says what has changed since it was looked at, and is sound again', function () {
    $opening = ['seen' => ['plane' => 'self-adhered', 'insulation_mm' => 50, 'depth_mm' => 163.5]];
    $file = openingInWall([planeLayer('membrane-permeable'), boardLayer(150)], $opening);
    $detail = readProject($file)->details[0];
    $fails = array_filter(
        (new Assessment(readProject($file)))->findings,
        fn (Finding $f): bool => $f->severity->value === 'fail' && str_starts_with($f->subject, 'details/'),
    );
    expect($detail->opening->outerBoard)
        ->toBe(150.0)
        ->and(saidOfWall($file))
        ->toBe(['opening.wall-changed' => ['note']])
        ->and($fails)
        ->toBe([]);
    // Out and in again the same.
    $written = ProjectFormat::write(readProject($file));
    expect(json_decode($written, true)['openings'])->toEqual($file['openings']);
});

it('says where a way does not fit the wall, and which does', function () {
    $file = openingInWall([planeLayer('fluid-permeable')], ['generator' => 'flanged-unit-in-fastened-sheet']);
    $found = array_values(
        array_filter(
            (new Assessment(readProject($file)))->findings,
            fn (Finding $f): bool => $f->code === 'opening.plane-differs',
        ),
    );
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->severity->value)
        ->toBe('fail')
        ->and($found[0]->figures['method'])
        ->toBe('flanged-unit-in-fluid');
});

it('says what is stated otherwise than the wall has it', function (array $stated, array $codes) {
    expect(saidOfWall(openingInWall([planeLayer('membrane-permeable'), boardLayer(100)], [], $stated)))->toBe(
        $codes,
    );
})->with([
    'nothing' => [[], []],
    'as the wall has it' => [['insulation_mm' => 100], []],
    'a thinner board' => [['insulation_mm' => 50], ['opening.size-differs' => ['caution']]],
    'another depth' => [['depth_mm' => 120], ['opening.size-differs' => ['caution']]],
    'another membrane' => [['membrane_material' => 'membrane-sbs'], ['opening.material-differs' => ['caution']]],
    'no board' => [['outboard' => 'flush'], ['opening.size-differs' => ['caution']]],
]);

it('keeps what a wall has outgrown, and says that it cannot be built there', function () {
    $file = openingInWall(
        [planeLayer('membrane-permeable'), boardLayer(50)],
        [],
        ['metal_mm' => 75, 'outboard' => 'board'],
    );
    expect(saidOfWall($file))
        ->toBe(['opening.not-in-wall' => ['fail']])
        ->and(readProject($file)->details[0]->piece('field')?->material->id)
        ->toBe('membrane-permeable');
});

it('names a wall that is not there, and one that names no plane', function () {
    $file = openingInWall([planeLayer('membrane-permeable')], ['between' => ['w9']], ['depth_mm' => 140]);
    expect(saidOfWall($file))->toBe(['opening.no-such-wall' => ['fail']]);
    $bare = openingInWall([['id' => 'l4', 'material' => 'fibre-cement-panel', 'thickness_mm' => 8]]);
    expect(saidOfWall($bare))->toBe(['opening.no-plane' => ['caution']]);
});

it('says of a junction that its wall has another board than it was made for', function () {
    $file = openingInWall([planeLayer('membrane-permeable'), boardLayer(150)]);
    unset($file['openings']);
    $made = Apron\Method\Methods::make(
        'through-wall-flashing',
        'd1',
        'D',
        ['length_mm' => 2000.0, 'insulation_mm' => 75.0],
        readProject($file)->brief,
        readProject($file)->materials,
    );
    $file['details'] = [Apron\Detail\DetailWriter::write($made) + ['between' => ['w1']]];
    expect(saidOfWall($file))->toBe(['opening.size-differs' => ['caution']]);
});

it('breaks nothing where a wall has become too thin for any opening, and says so', function () {
    $file = openingInWall([planeLayer('membrane-permeable')]);
    $file['assemblies'][0]['layers'] = [
        ['id' => 'l3', 'material' => 'osb', 'thickness_mm' => 18],
        planeLayer('membrane-permeable'),
    ];
    expect(saidOfWall($file))->toBe(['opening.not-in-wall' => ['fail']]);
});

it('makes a junction in the plane of its wall, and again when that is another', function () {
    $corner = fn (string $plane): array => openingInWall(
        [planeLayer($plane)],
        ['id' => 'o1', 'title' => 'Corner', 'generator' => 'wall-corner', 'between' => ['w1'], 'parameters' => [
            'height_mm' => 900,
        ]],
    );
    $kinds = fn (string $plane): array => array_values(
        array_unique(
            array_map(
                fn ($piece): string => $piece->kind->value,
                array_filter(
                    readProject($corner($plane))->details[0]->pieces,
                    fn ($piece): bool => $piece->material->id === $plane,
                ),
            ),
        ),
    );
    expect($kinds('polyolefin-wrap'))
        ->toBe(['sheet'])
        ->and($kinds('membrane-permeable'))
        ->toBe(['membrane'])
        ->and($kinds('fluid-permeable'))
        ->toBe(['fluid'])
        ->and(saidOfWall($corner('fluid-permeable')))
        ->toBe([]);
});

it('says where a junction cannot be made in the plane of its wall, and what can', function () {
    $foot = openingInWall([planeLayer('fluid-permeable')], [
        'id' => 'o1',
        'title' => 'Foot',
        'generator' => 'overhanging-foot',
        'between' => ['w1'],
        'parameters' => ['length_mm' => 1200],
    ]);
    $found = array_values(
        array_filter(
            (new Assessment(readProject($foot)))->findings,
            fn (Finding $f): bool => $f->code === 'opening.no-such-junction',
        ),
    );
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->severity->value)
        ->toBe('fail')
        ->and($found[0]->figures['method'])
        ->toBe('sheathing-to-foundation');
});

it('says of a joint between two walls that their planes differ', function () {
    $file = openingInWall([planeLayer('polyolefin-wrap')], [
        'id' => 'o1',
        'title' => 'Corner',
        'generator' => 'wall-corner',
        'between' => ['w1', 'w2'],
        'parameters' => ['height_mm' => 900],
    ]);
    $other = ['id' => 'w2', 'name' => 'South wall'] + $file['assemblies'][0];
    $alike = ['assemblies' => [...$file['assemblies'], $other]] + $file;
    expect(saidOfWall($alike))->toBe([]);
    $other['layers'][3] = planeLayer('fluid-permeable');
    $unlike = ['assemblies' => [...$file['assemblies'], $other]] + $file;
    expect(saidOfWall($unlike))->toBe(['opening.two-planes' => ['caution']]);
});
