<?php

declare(strict_types=1);

use Apron\Brief\AirTarget;
use Apron\Brief\AirTargetUnit;
use Apron\Building\Faces;
use Apron\Building\Part;
use Apron\Building\PartKind;
use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

require_once __DIR__.'/Boxes.php';

/** @return array<string, mixed> the whole assessment of a file, its building */
function wholeOf(array $file): array
{
    $told = (new Assessment(readProject($file)))->toArray(new Words(UnitSystem::SI));

    return json_decode(json_encode($told), true)['building'];
}

/** @return list<array<string, mixed>> */
function decidedBut(string ...$kinds): array
{
    return array_map(
        fn (string $kind): array => carrying($kind),
        array_values(array_diff(['outside-corner', 'parapet', 'wall-to-slab'], $kinds)),
    );
}

it('lists what has no detail, the longest first, and what the meeting has to settle', function () {
    $built = wholeOf(boxFile(['connections' => decidedBut('parapet')]));
    expect($built['undetailed'])
        ->toBe([
            ['kind' => 'wall-to-slab', 'between' => ['f1', 'w1'], 'upright' => false, 'count' => 4, 'length_m' => 40],
            ['kind' => 'parapet', 'between' => ['r1', 'w1'], 'upright' => false, 'count' => 4, 'length_m' => 40],
            ['kind' => 'outside-corner', 'between' => ['w1', 'w1'], 'upright' => true, 'count' => 4, 'length_m' => 12],
        ])
        ->and($built['to_settle'])
        ->toBe(
            array_map(
                fn (string $control): array => [
                    'control' => $control,
                    'state' => 'undecided',
                    'kind' => 'parapet',
                    'count' => 4,
                    'length_m' => 40,
                    'why' => '',
                ],
                ['water', 'air', 'vapour', 'heat'],
            ),
        )
        // Of 92 m 40 are to be decided.
        ->and($built['done']['air'])
        ->toEqualWithDelta(52 / 92, 1e-4);
    $broken = wholeOf(boxFile(['connections' => [...decidedBut(), carrying('parapet', ['air' => ['by' => 'none']])]]));
    expect($broken['to_settle'])->toBe([
        [
            'control' => 'air',
            'state' => 'broken',
            'kind' => 'parapet',
            'count' => 4,
            'length_m' => 40,
            'why' => 'nothing hands air over',
        ],
    ]);
});

it('builds of each kind of joint the worst once, and of each sort of corner one', function () {
    $one = ['joint' => 'parapet:hall.roof|hall.wall.2', 'threads' => ['water' => ['by' => 'none']]];
    $built = wholeOf(boxFile(['connections' => [...decidedBut(), $one]]));
    $worst = array_column($built['mock_ups']['joints'], 'joint', 'kind');
    expect($worst['parapet'])
        ->toBe('parapet:hall.roof|hall.wall.2')
        ->and(array_keys($worst))
        ->toEqualCanonicalizing(['parapet', 'outside-corner', 'wall-to-slab'])
        ->and(array_map(fn (array $c): array => [$c['kinds'], $c['count']], $built['mock_ups']['corners']))
        ->toEqualCanonicalizing([[['outside-corner', 'parapet'], 4], [['outside-corner', 'wall-to-slab'], 4]]);
    // Of the four upper corners one at which the broken edge ends.
    $upper = array_values(
        array_filter($built['mock_ups']['corners'], fn (array $c): bool => in_array('parapet', $c['kinds'], true)),
    )[0];
    expect($upper['worst'])->toBe('parapet:hall.roof|hall.wall.2')->and($upper['at_mm'][1])->toBe(8000);
});

it('spreads a target of airtightness over parts and joints, and says when it would not be kept', function () {
    // 288 m³ and 312 m²: 0.6 changes at 50 Pa are 48 L/s there, and 48 × 1.5^0.65 at 75.
    $target = new AirTarget(AirTargetUnit::ChangesAt50, 0.6);
    expect($target->flowAt75(288.0, 312.0))
        ->toEqualWithDelta(48 * 1.5 ** 0.65, 1e-9)
        ->and((new AirTarget(AirTargetUnit::FlowPerAreaAt75, 0.4))->flowAt75(288.0, 312.0))
        ->toEqualWithDelta(124.8, 1e-9)
        ->and((new AirTarget(AirTargetUnit::FlowPerAreaAt50, 3.6))->flowAt75(288.0, 312.0))
        ->toEqualWithDelta(312 * 1.5 ** 0.65, 1e-9);
    $file = fn (array $connections): array => boxFile(
        ['connections' => $connections],
        [],
        ['project' => ['name' => 'B', 'units' => 'si', 'air_target' => ['q75_l_s_m2' => 0.25]]],
    );
    $tight = wholeOf($file(decidedBut()));
    // 312 m² of 0.2, and 92 m of 0.02.
    expect($tight['leakage'])
        ->toMatchArray(['allowed_l_s' => 78, 'pressure_pa' => 75])
        ->and($tight['leakage']['estimate_l_s'])
        ->toEqualWithDelta(62.4 + 1.84, 1e-2);
    $open = wholeOf($file(decidedBut('parapet')));
    expect($open['leakage']['estimate_l_s'])
        ->toEqualWithDelta(62.4 + 52 * 0.02 + 40 * 1.0, 1e-2)
        ->and($open['leakage']['worst'][0]['class'])
        ->toBe('undecided');
    $codes = fn (array $file): array => array_map(
        fn ($f): string => $f->code,
        (new Assessment(readProject($file)))->building->findings(),
    );
    expect($codes($file(decidedBut())))
        ->not->toContain('building.leaky')
        ->and($codes($file(decidedBut('parapet'))))
        ->toContain('building.leaky');
});

it('keeps a target as it was written, and refuses one that is none', function () {
    $project = fn (array $target): array => boxFile(
        [],
        [],
        ['project' => ['name' => 'B', 'units' => 'si', 'air_target' => $target]],
    );
    $read = readProject($project(['n50_1_h' => 0.6]));
    $written = json_decode(ProjectFormat::write($read), true);
    expect($written['project']['air_target'])->toBe(['n50_1_h' => 0.6]);
    $two = ['n50_1_h' => 1, 'q75_l_s_m2' => 1];
    foreach ([[], ['n50_1_h' => 0], $two, ['n50' => 1], ['q50_m3_h_m2' => 51]] as $wrong) {
        expect(fn () => readProject($project($wrong)))->toThrow(FileRefused::class);
    }
});

it('tells where insulation grows too thin beside its neighbour, but not at openings or towards the unheated', function () {
    $thin = carryingAssemblies();
    $thin[1]['layers'][3]['thickness_mm'] = 25;
    $file = boxFile(['connections' => decidedBut()], [], ['assemblies' => $thin]);
    $found = wholeOf($file)['thin'];
    expect($found)
        ->toHaveCount(1)
        ->and($found[0])
        ->toMatchArray(['part' => 'hall.roof', 'beside' => 'hall.wall.0'])
        ->and($found[0]['share'])
        ->toBeLessThan(0.33)
        ->toBeGreaterThan(0.2);
    expect(wholeOf(boxFile())['thin'])->toBe([]);
});

it('proposes the method of each joint, in the plane of its wall, with how far apart its layers lie', function () {
    $file = boxFile();
    // Water over the insulation of the roof, and under that of the wall: they lie 100 mm apart.
    $file['assemblies'][1]['layers'][2]['controls'] = ['air'];
    $top = ['id' => 't', 'material' => 'roof-membrane', 'thickness_mm' => 2, 'controls' => ['water']];
    $file['assemblies'][1]['layers'][] = $top;
    $proposed = array_column(wholeOf($file)['proposals'], null, 'kind');
    expect($proposed['parapet'])
        ->toMatchArray(['method' => 'parapet', 'wall' => 'w1', 'folded' => ['water']])
        ->and($proposed['parapet']['offsets_mm'])
        ->toBe(['water' => 102, 'air' => 0, 'vapour' => 0, 'heat' => 0])
        ->and($proposed['outside-corner'])
        ->toMatchArray(['method' => 'wall-corner', 'wall' => 'w1', 'folded' => []])
        ->and($proposed['wall-to-slab']['method'])
        ->toBe('sheathing-to-foundation');
    // Each that is proposed can be made, in the wall it is proposed for, and proves the water of its joint.
    foreach ($proposed as $kind => $row) {
        $with = boxFile(
            ['connections' => [['joint' => ['kind' => $kind], 'detail' => 'd1']]],
            [],
            [
                'openings' => [
                    [
                        'id' => 'd1',
                        'title' => 'D',
                        'generator' => $row['method'],
                        'parameters' => $row['parameters'],
                        'between' => [$row['wall']],
                    ],
                ],
            ],
        );
        $states = array_filter(
            wholeOf($with)['joints'],
            fn (array $joint): bool => $joint['kind'] === $kind && $joint['threads']['water'] !== 'carried',
        );
        expect($states)->toBe([], $kind);
    }
});

it('proposes nothing for what lies in the ground, nor a through-wall flashing where walls meet side by side', function () {
    $file = boxFile(
        ['ground_mm' => 1500],
        [
            'foundation' => 'bare',
            'stretches' => [['edge' => 0, 'from_mm' => 2000, 'to_mm' => 4000, 'assembly' => 'bare']],
        ],
    );
    $file['assemblies'][3]['layers'][] = carryingAssemblies()[0]['layers'][2];
    $file['assemblies'][3]['layers'][] = ['id' => 'b', 'material' => 'mineral-wool-board', 'thickness_mm' => 100];
    foreach (wholeOf($file)['proposals'] as $row) {
        if ($row['kind'] === 'assembly-change') {
            expect($row['method'])->toBe($row['upright'] ? 'board-joint' : 'through-wall-flashing');
        }
        if ($row['kind'] === 'foundation-to-slab') {
            expect($row['method'])->toBeNull();
        }
    }
});

it('counts what the framer prepares as often as it is built', function () {
    $place = fn (int $edge, int $x): array => [
        'opening' => 'o1',
        'block' => 'hall',
        'edge' => $edge,
        'x_mm' => $x,
        'z_mm' => 900,
    ];
    $built = wholeOf(
        boxFile(
            ['placed' => [$place(0, 1000), $place(0, 4000), $place(2, 1000)]],
            [],
            ['openings' => [windowRow('o1'), windowRow('o2')]],
        ),
    );
    $opening = array_values(array_filter($built['framer'], fn (array $row): bool => $row['what'] === 'opening'));
    // The second window stands nowhere: nobody frames it.
    expect($opening)->toHaveCount(1)->and([$opening[0]['for'], $opening[0]['times']])->toBe([['o1'], 3]);
});

it('calls each part as people do', function (string $id, PartKind $kind, string $called) {
    $detail = $kind === PartKind::Opening ? 'o1' : null;
    $part = new Part($id, $kind, Faces::Outside, null, 'hall', 1.0, 1.0, null, $detail);
    expect($part->name())->toBe($called);
})->with([
    ['hall.wall.2', PartKind::Wall, 'hall side 2'],
    ['hall.wall.1@porch', PartKind::Wall, 'hall side 1 towards porch'],
    ['hall.wall.0@stretch-w3', PartKind::Wall, 'hall side 0, w3'],
    ['hall.wall.0@porch@stretch-w3', PartKind::Wall, 'hall side 0 towards porch, w3'],
    ['hall.foundation.0', PartKind::FoundationWall, 'hall foundation, side 0'],
    ['hall.roof', PartKind::Roof, 'hall roof'],
    ['hall.roof.2', PartKind::Roof, 'hall roof 2'],
    ['hall.roof@canopy', PartKind::Roof, 'hall roof towards canopy'],
    ['hall.floor@garage', PartKind::Floor, 'hall floor towards garage'],
    ['hall.opening.o1#2', PartKind::Opening, 'o1'],
]);
