<?php

declare(strict_types=1);

use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

/** A wall of 12 × 6 m on one side of a hall: sheathing, a sheet 2.74 m wide, boards. */
function soldFile(array $takeoff = [], array $more = []): array
{
    $framing = ['material' => 'lumber', 'fraction' => 0.15, 'spacing_mm' => 400];

    return $more + [
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'assemblies' => [
            ['id' => 'w1', 'name' => 'W', 'kind' => 'wall', 'layers' => [
                ['id' => 'l1', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140, 'framing' => $framing],
                ['id' => 'l2', 'material' => 'plywood', 'thickness_mm' => 12.5],
                ['id' => 'l3', 'material' => 'polyolefin-wrap', 'thickness_mm' => 0.2, 'controls' => ['water', 'air']],
                ['id' => 'l4', 'material' => 'xps', 'thickness_mm' => 50],
                [
                    'id' => 'l5',
                    'material' => 'air-layer',
                    'thickness_mm' => 19,
                    'air' => 'ventilated',
                    'framing' => ['material' => 'cavity-batten', 'fraction' => 0.1, 'spacing_mm' => 400],
                ],
                ['id' => 'l6', 'material' => 'fibre-cement-lap', 'thickness_mm' => 8],
            ]],
        ],
        'building' => [
            'blocks' => [
                [
                    'id' => 'hall',
                    'outline' => [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
                    'base_mm' => 0,
                    'top_mm' => 6000,
                    'walls' => (object) ['0' => 'w1', '2' => 'w1'],
                ],
            ],
        ],
        'takeoff' => (object) $takeoff,
    ];
}

/** @return array<string, mixed> */
function soldTold(array $takeoff = [], array $more = []): array
{
    $assessed = new Assessment(readProject(soldFile($takeoff, $more)));

    return json_decode(json_encode($assessed->toArray(new Words(UnitSystem::SI))), true);
}

/** @return list<string> what is said of quantities, with its severity */
function soldSays(array $takeoff): array
{
    $isOf = fn (array $f): bool => str_starts_with($f['code'], 'takeoff.');
    $said = array_filter(soldTold($takeoff)['findings'], $isOf);

    return array_values(array_map(fn (array $f): string => "{$f['severity']} {$f['code']}", $said));
}

function soldRefusal(array $takeoff): string
{
    try {
        readProject(soldFile($takeoff));
    } catch (FileRefused $refused) {
        return "$refused->pointer: $refused->expected";
    }

    return 'read';
}

/** @return array<string, mixed> the layout of a layer on the first wall */
function soldLayout(array $told, string $layer): array
{
    foreach ($told['layouts'] as $layout) {
        if ($layout['layer'] === $layer && $layout['part'] === 'hall.wall.0') {
            return $layout;
        }
    }
    throw new LogicException("no layout of $layer");
}

it('takes every building off, with nothing settled for it', function () {
    $file = soldFile();
    unset($file['takeoff']);
    $told = json_decode(
        json_encode((new Assessment(readProject($file)))->toArray(new Words(UnitSystem::SI))),
        true,
    );
    expect(array_column($told['layouts'], 'layer'))
        ->toBe(['l2', 'l3', 'l4', 'l2', 'l3', 'l4'])
        ->and(soldLayout($told, 'l3')['courses'])
        // 2.74 and 2.64 are 5.38: a third course for the last of 6 m.
        ->toBe(3)
        ->and($told['takeoff']['changes'])
        ->toBe([]);
});

it('says how gross follows from net, in whole units', function () {
    $told = soldTold();
    $lines = array_column($told['quantities'], null, 'material');
    expect($lines['polyolefin-wrap'])
        ->toMatchArray(['net' => 144.0, 'gross' => 197.28])
        ->and($lines['polyolefin-wrap']['order'])
        // Two lengths of 12 m off each roll of 30.5, six in all.
        ->toEqual(['unit' => 'roll', 'holds' => 83.57, 'count' => 3])
        ->and($lines['polyolefin-wrap']['why'])
        ->toMatchArray(['rule' => 'laid-out', 'least' => 3])
        // 31 lines of studs of 6 m on each wall; two pieces up each.
        ->and($lines['cavity-batten']['net'])
        ->toEqual(2 * 31 * 6)
        ->and($lines['mineral-wool-batt']['net'])
        ->toEqualWithDelta(144 * 0.85, 1e-9)
        ->and($lines['fibre-cement-lap'])
        ->toMatchArray(['net' => 144.0, 'gross' => 158.4]);
});

it('lays as is settled for a layer', function () {
    $rule = fn (array $more): array => ['layers' => [['assembly' => 'w1', 'layer' => 'l3'] + $more]];
    $narrow = soldLayout(soldTold($rule(['roll_m' => [1.5, 50], 'lap_mm' => [150, 150]])), 'l3');
    expect($narrow['courses'])
        ->toBe(5)
        ->and($narrow['size_mm'])
        ->toEqual([50000, 1500])
        ->and(array_column($narrow['pieces'], 'from'))
        ->toBe(['roll 1', 'roll 1', 'roll 1', 'roll 1', 'roll 2']);
    $first = soldLayout(
        soldTold(['layers' => [['assembly' => 'w1', 'layer' => 'l4', 'first_mm' => 600]]]),
        'l4',
    );
    expect($first['pieces'][0]['rect'][3])->toEqual(600);
});

it('judges a course that somebody has moved, and all that lies over it', function () {
    $move = fn (float $at): array => [
        'moved' => [['part' => 'hall.wall.0', 'layer' => 'l3', 'course' => 1, 'at_mm' => $at]],
    ];
    expect(soldSays($move(2640)))
        ->toBe([])
        ->and(soldSays($move(2500)))
        ->toBe([])
        ->and(soldSays($move(2680)))
        ->toBe(['fail takeoff.lap-short'])
        ->and(soldSays($move(2900)))
        ->toBe(['fail takeoff.gap']);
    $moved = soldLayout(soldTold($move(2500)), 'l3');
    // The third lies on the second as before: 2.5 + 2.74 − 0.1.
    expect($moved['pieces'][1]['rect'][1])->toEqual(2500)->and($moved['pieces'][2]['rect'][1])->toEqual(5140);
});

it('judges a joint that somebody has moved', function () {
    $layout = soldLayout(soldTold(), 'l2');
    $joint = fn (float $at): array => [
        'moved' => [['part' => 'hall.wall.0', 'layer' => 'l2', 'course' => 1, 'joint' => 0, 'at_mm' => $at]],
    ];
    $below = array_values(array_filter($layout['pieces'], fn (array $p): bool => $p['course'] === 0))[0]['rect'][2];
    $own = array_values(array_filter($layout['pieces'], fn (array $p): bool => $p['course'] === 1))[0]['rect'][2];
    expect(soldSays($joint($own)))
        ->toBe([])
        ->and(soldSays($joint($own - 130)))
        ->toContain('caution takeoff.off-framing')
        ->and(soldSays($joint($below)))
        ->toContain('caution takeoff.not-staggered');
});

it('lays nothing out in pieces that nobody cuts, and buys it by its area', function () {
    $tiny = ['layers' => [['assembly' => 'w1', 'layer' => 'l3', 'roll_m' => [0.1, 0.1]]]];
    $told = soldTold($tiny);
    expect(soldSays($tiny))
        ->toBe(['caution takeoff.too-small', 'caution takeoff.too-small'])
        ->and(array_column($told['layouts'], 'layer'))
        ->not->toContain('l3')
        ->and(array_column($told['quantities'], 'net', 'material')['polyolefin-wrap'])
        ->toEqual(144);
});

it('draws fasteners as many as it counts, and screens as long as it tells', function () {
    $told = soldTold()['takeoff'];
    foreach ($told['fasteners'] as $row) {
        expect(array_sum(array_column($row['rows'], 3)))->toBe($row['count']);
        foreach ($row['rows'] as [$x, $low, $high, $count]) {
            expect($x >= 0 && $x <= 12000 && $low >= 0 && $high <= 6000 && $count >= 1)->toBeTrue();
        }
    }
    $long = fn (array $l): float => hypot($l[2] - $l[0], $l[3] - $l[1]) / 1000;
    $drawn = array_sum(array_map($long, array_merge(...array_column($told['screens'], 'lines_mm'))));
    $screens = array_values(array_filter($told['uncounted'], fn (array $u): bool => $u['what'] === 'screens'))[0];
    // Two walls of 12 m, at foot and head.
    expect($drawn)->toEqual(48.0)->and($screens['metres'])->toEqual(48.0);
});

it('tells what is settled for what is not there', function () {
    expect(soldSays(['moved' => [['part' => 'gone', 'layer' => 'l3', 'course' => 0, 'at_mm' => 0]]]))
        ->toBe(['note takeoff.nowhere'])
        ->and(soldSays(['layers' => [['assembly' => 'w9', 'layer' => 'l3']]]))
        ->toBe(['note takeoff.nowhere'])
        ->and(soldSays(['layers' => [['assembly' => 'w1', 'layer' => 'l3', 'tape' => 'no-such']]]))
        ->toBe(['note takeoff.nowhere'])
        ->and(soldSays(['deliveries' => [['id' => 'a', 'title' => 'A', 'parts' => ['hall.wall.0', 'hall.wall.7']]]]))
        ->toBe(['note takeoff.nowhere']);
});

it('brings in each delivery what it needs, and uses what is left of the one before', function () {
    $told = soldTold([
        'deliveries' => [
            ['id' => 'a', 'title' => 'South', 'day' => '2027-04-01', 'parts' => ['hall.wall.0']],
            ['id' => 'b', 'title' => 'North', 'parts' => ['hall.wall.2']],
        ],
    ]);
    $deliveries = $told['takeoff']['deliveries'];
    $count = fn (array $delivery, string $of): int => array_column($delivery['lines'], 'count', 'material')[$of] ?? 0;
    expect(array_column($deliveries, 'id'))
        ->toBe(['a', 'b'])
        // Three rolls for six lengths: one and a half for each wall.
        ->and([$count($deliveries[0], 'polyolefin-wrap'), $count($deliveries[1], 'polyolefin-wrap')])
        ->toBe([2, 1]);
    $half = soldTold(['deliveries' => [['id' => 'a', 'title' => 'South', 'parts' => ['hall.wall.0']]]]);
    expect(array_column($half['takeoff']['deliveries'], 'id'))->toBe(['a', 'rest']);
    foreach ($told['quantities'] as $line) {
        $sum = 0;
        foreach ($deliveries as $delivery) {
            foreach ($delivery['lines'] as $of) {
                $isIt = $of['material'] === $line['material'] && $of['holds'] === $line['order']['holds'];
                $sum += $isIt && $of['what'] === $line['what'] ? $of['count'] : 0;
            }
        }
        expect($sum)->toBe($line['order']['count']);
    }
});

it('tells what has changed since the order was sent out', function () {
    $lines = array_map(fn (array $q): array => [
        'material' => $q['material'],
        'what' => $q['what'],
        'unit' => $q['order']['unit'],
        'holds' => $q['order']['holds'],
        'count' => $q['order']['count'],
    ], soldTold()['quantities']);
    expect(soldTold(['ordered' => $lines])['takeoff']['changes'])->toBe([]);
    $lines[0]['count'] += 3;
    $gone = ['material' => 'zinc', 'what' => 'area', 'unit' => 'm2', 'holds' => 1, 'count' => 4];
    $changes = soldTold(['ordered' => [...$lines, $gone]])['takeoff']['changes'];
    expect(array_map(fn (array $c): array => [$c['material'], $c['was'] - $c['now']], $changes))
        ->toBe([[$lines[0]['material'], 3], ['zinc', 4]]);
});

it('packs every bracket out to the highest spot, and isolates unlike metals', function () {
    // String line: 0, 7 back, 3 back, and the highest stands 2 out: they need 2, 9, 5 and nothing.
    $points = [];
    foreach ([0, -7, -3, 2] as $i => $off) {
        $points[] = ['x_mm' => 600 * $i, 'z_mm' => 1200, 'off_mm' => $off];
    }
    $survey = ['id' => 's1', 'part' => 'hall.wall.0', 'points' => $points, 'sizes_mm' => [1, 2, 5]];
    $told = soldTold(['surveys' => [$survey + ['bracket' => 'steel-galvanised', 'girt' => 'aluminium']]]);
    $of = $told['takeoff']['surveys'][0];
    $alike = ['bracket' => 'aluminium', 'girt' => 'aluminium'];
    expect($of['high'])
        ->toBe(3)
        ->and(array_column($of['points'], 'need_mm'))
        ->toEqual([2, 9, 5, 0])
        ->and(array_column($of['points'], 'spacers_mm'))
        ->toEqual([[2], [5, 2, 2], [5], []])
        ->and($of['spacers'])
        ->toEqual([['size_mm' => 5, 'count' => 2], ['size_mm' => 2, 'count' => 3]])
        ->and($of['isolators'])
        ->toBe(4)
        ->and(soldTold(['surveys' => [$survey + $alike]])['takeoff']['surveys'][0])
        ->toMatchArray(['isolators' => 0])
        ->and(soldSays(['surveys' => [['least_mm' => 20] + $survey]]))
        ->toBe(['caution takeoff.out-of-plane']);
});

it('gives holes from one datum in the boards that they come to lie in', function () {
    $told = soldTold(['transfers' => [[
        'id' => 't1',
        'part' => 'hall.wall.0',
        'datum_mm' => [1000, 500],
        'holes' => [
            ['x_mm' => 3000, 'z_mm' => 100, 'diameter_mm' => 14, 'what' => 'bolt'],
            ['x_mm' => 0, 'z_mm' => 0],
        ],
    ]]]);
    $holes = $told['takeoff']['transfers'][0]['holes'];
    $boards = soldLayout($told, 'l4')['pieces'];
    expect(array_column($holes, 'x_mm'))->toEqual([0, 3000]);
    // 4.0 m along and 0.6 up: in the boards there, from the corner of each.
    $in = array_values(array_filter(
        $boards,
        fn (array $b): bool => $b['rect'][0] <= 4000 &&
            $b['rect'][2] > 4000 &&
            $b['rect'][1] <= 600 &&
            $b['rect'][3] > 600,
    ))[0];
    $drilled = array_column($holes[1]['boards'], null, 'layer')['l4'];
    expect([$drilled['x_mm'], $drilled['z_mm'], 'board '.$drilled['board']])->toEqual([
        4000 - $in['rect'][0],
        600 - $in['rect'][1],
        $in['from'],
    ]);
});

it('names screws by their length from the layers, and the engineer where they are long', function () {
    $rows = array_column(soldTold()['takeoff']['fasteners'], null, 'layer');
    // 12.5 of plywood and 32 in the stud: 2 in; with the sheet and 50 of foam 4 in.
    expect($rows['l2'])
        ->toMatchArray(['length_mm' => 50.8, 'engineer' => false, 'edge_mm' => 150, 'field_mm' => 300])
        ->and($rows['l4'])
        ->toMatchArray(['length_mm' => 101.6, 'engineer' => false])
        ->and($rows['l3']['count'])
        ->toBe(31 * 16);
    $thick = soldFile();
    $thick['assemblies'][0]['layers'][3]['thickness_mm'] = 100;
    $told = (new Assessment(readProject($thick)))->toArray(new Words(UnitSystem::SI));
    expect(array_column($told['takeoff']['fasteners'], null, 'layer')['l4']['engineer'])->toBeTrue();
    // What is stated of them by the square metre is taken at its word.
    $thick['assemblies'][0]['layers'][3]['fasteners'] = [
        'per_m2' => 6, 'diameter_mm' => 6, 'conductivity_w_mk' => 50, 'material' => 'steel-galvanised',
    ];
    $stated = (new Assessment(readProject($thick)))->toArray(new Words(UnitSystem::SI));
    expect(array_column($stated['quantities'], 'net', 'material')['steel-galvanised'])->toEqual(2 * 6 * 72);
});

it('takes a detail along its joint, and each opening as often as it stands', function () {
    $told = soldTold([], [
        'details' => [
            [
                'id' => 'foot',
                'title' => 'Foot',
                'facets' => ['face' => ['u' => [0, 2000], 'v' => [0, 600]]],
                'release' => 'face',
                'pieces' => [
                    [
                        'id' => 'strip',
                        'material' => 'flashing-strip',
                        'kind' => 'membrane',
                        'step' => 1,
                        'patches' => [['id' => 's', 'facet' => 'face', 'rect' => [0, 0, 2000, 300], 'step' => 1]],
                    ],
                ],
            ],
        ],
        'openings' => [
            [
                'id' => 'o1',
                'title' => 'O',
                'generator' => 'strapped-unit-in-fastened-sheet',
                'parameters' => ['width_mm' => 1200, 'height_mm' => 1200, 'depth_mm' => 150],
            ],
        ],
        'building' => ['connections' => [['joint' => ['kind' => 'wall-to-slab'], 'detail' => 'foot']], 'placed' => [
            ['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 900],
            ['opening' => 'o1', 'block' => 'hall', 'edge' => 2, 'x_mm' => 1000, 'z_mm' => 900],
        ]] + soldFile()['building'],
    ]);
    $lines = array_column($told['quantities'], null, 'material');
    $strip = array_values(array_filter(
        $told['quantities'],
        fn (array $q): bool => in_array('details/foot/pieces/strip', $q['from'], true),
    ))[0];
    // Round the slab: 2 · (12 + 8) m of a strip 300 wide.
    expect($strip['net'])
        ->toEqualWithDelta(40 * 0.3, 1e-9)
        ->and($lines['window-unit'])
        ->toMatchArray(['net' => 2, 'what' => 'count'])
        ->and($lines['polyolefin-wrap']['net'])
        ->toEqualWithDelta(144 - 2 * 1.44, 1e-9)
        ->and(array_column($told['takeoff']['uncounted'], 'kind'))
        ->not->toContain('wall-to-slab')
        ->and(array_column($told['takeoff']['uncounted'], 'kind'))
        ->toContain('outside-corner');
});

it('is written as it was read', function () {
    $takeoff = [
        'layers' => [
            ['assembly' => 'w1', 'layer' => 'l3', 'roll_m' => [1.5, 50], 'upright' => true, 'of' => 'zinc'],
        ],
        'moved' => [['part' => 'hall.wall.0', 'layer' => 'l3', 'course' => 0, 'joint' => 0, 'at_mm' => 400]],
        'surveys' => [['id' => 's', 'part' => 'hall.wall.0', 'points' => [['x_mm' => 0, 'z_mm' => 0, 'off_mm' => -2]]]],
        'transfers' => [
            ['id' => 't', 'part' => 'hall.wall.0', 'datum_mm' => [0, 0], 'holes' => [['x_mm' => 1, 'z_mm' => 2]]],
        ],
        'deliveries' => [['id' => 'd', 'title' => 'D', 'day' => '2027-04-01', 'parts' => ['hall.wall.0']]],
        'ordered' => [['material' => 'xps', 'what' => 'area', 'unit' => 'board', 'holds' => 2.9, 'count' => 4]],
    ];
    $once = ProjectFormat::write(readProject(soldFile($takeoff)));
    expect(json_decode($once, true)['takeoff'])
        ->toEqual($takeoff)
        ->and(ProjectFormat::write(ProjectFormat::parse($once, new Apron\Material\Catalogue)))
        ->toBe($once);
});

it('refuses with place and reason', function (array $takeoff, string $expected) {
    expect(soldRefusal($takeoff))->toContain($expected);
})->with([
    'a key nobody knows' => [['rolls' => []], '/takeoff'],
    'a roll of nothing' => [
        ['layers' => [['assembly' => 'w1', 'layer' => 'l3', 'roll_m' => [0, 30]]]],
        '/takeoff/layers/0/roll_m/0',
    ],
    'a board of nothing' => [
        ['layers' => [['assembly' => 'w1', 'layer' => 'l3', 'board_mm' => [1220, 0]]]],
        '/takeoff/layers/0/board_mm/1',
    ],
    'one layer twice' => [
        ['layers' => [['assembly' => 'w1', 'layer' => 'l3'], ['assembly' => 'w1', 'layer' => 'l3']]],
        '/takeoff/layers/1: each of them once',
    ],
    'a survey without a point' => [
        ['surveys' => [['id' => 's', 'part' => 'hall.wall.0', 'points' => []]]],
        '/takeoff/surveys/0/points',
    ],
    'a part in two deliveries' => [
        ['deliveries' => [
            ['id' => 'a', 'title' => 'A', 'parts' => ['hall.wall.0']],
            ['id' => 'b', 'title' => 'B', 'parts' => ['hall.wall.0']],
        ]],
        '/takeoff/deliveries/1/parts/0: a part in one delivery; a brings it',
    ],
    'a day that is none' => [
        ['deliveries' => [['id' => 'a', 'title' => 'A', 'day' => '2027-02-30', 'parts' => []]]],
        '/takeoff/deliveries/0/day: a date',
    ],
    'a course below the ground' => [
        ['moved' => [['part' => 'hall.wall.0', 'layer' => 'l3', 'course' => -1, 'at_mm' => 0]]],
        '/takeoff/moved/0/course',
    ],
    'a place that is no number' => [
        ['moved' => [['part' => 'hall.wall.0', 'layer' => 'l3', 'course' => 0, 'at_mm' => 'low']]],
        '/takeoff/moved/0/at_mm',
    ],
]);
