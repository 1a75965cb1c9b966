<?php

declare(strict_types=1);

use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

/** A test by ISO 9972 that draws air out, its figures worked beside it. */
function fanSheet(array $more = []): array
{
    $flows = ['-12.1' => 190.5, '-19.8' => 265.1, '-30.4' => 352.0];
    $flows += ['-40.2' => 424.0, '-50.1' => 487.0, '-59.7' => 546.0];

    return $more + [
        'id' => 'f1',
        'kind' => 'fan',
        'convention' => 'iso-9972',
        'points' => array_map(
            fn (string $pa, float $flow): array => ['pressure_pa' => (float) $pa, 'flow_m3_h' => $flow],
            array_map(strval(...), array_keys($flows)),
            array_values($flows),
        ),
        'zero_flow_before_pa' => [-1.9, -1.7],
        'zero_flow_after_pa' => [-1.2, -1.4],
        'indoor_c' => 20.0,
        'outdoor_c' => 2.0,
        'barometer_pa' => 100200.0,
        'indoor_rh_pct' => 45.0,
        'outdoor_rh_pct' => 85.0,
        'volume_m3' => 410.0,
        'envelope_m2' => 480.0,
    ];
}

/**
 * @param  array<string, mixed>  ...$others  tests beside it
 * @return array{array<string, mixed>, list<string>} the test as the assessment has it, and what is said of it
 */
function fanTold(array $sheet, array ...$others): array
{
    $assessed = new Assessment(readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'tests' => [$sheet, ...$others],
    ]));
    $told = json_decode(json_encode($assessed->toArray(new Words(UnitSystem::SI))), true);

    return [$told['tests'][0], array_map(fn (array $f): string => "{$f['severity']} {$f['code']}", $told['findings'])];
}

it('reckons a test as an independent regression does (ISO 9972 by hand, moist air by ISO 13788, in another language)', function () {
    [$test, $said] = fanTold(fanSheet());
    $by = fn (float $worked): float => 1e-6 * $worked;
    foreach ([
        'n' => 0.6177548607882386,
        'c_m3_h_pan' => 42.27843128100672,
        'r2' => 0.9999300875649789,
        'q50_m3_h' => 473.87723219231674,
        'n50_1_h' => 1.1557981272983335,
        'q50_m3_h_m2' => 0.9872442337339932,
        'q75_l_s_m2' => 0.3522924502985571,
        'leakage_area_4pa_m2' => 0.010727785961826991,
    ] as $figure => $worked) {
        expect($test[$figure])->toEqualWithDelta($worked, $by($worked));
    }
    expect($test['n_95'][0])
        ->toEqualWithDelta(0.6105852094951196, 1e-5)
        ->and($test['q50_95_m3_h'][1])
        ->toEqualWithDelta(476.59913711865073, 0.01)
        ->and($test['verdict'])
        ->toBe('pass')
        ->and($said)
        ->toBe([]);
});

it('fails a target that is missed, and says where the target lies within its doubt', function () {
    $verdict = fn (array $target): array => [
        fanTold(fanSheet(['target' => $target]))[0]['verdict'],
        fanTold(fanSheet(['target' => $target]))[1],
    ];
    expect($verdict(['n50_1_h' => 0.6]))
        ->toBe(['fail', ['fail test.missed']])
        ->and($verdict(['n50_1_h' => 1.2]))
        ->toBe(['pass', []])
        ->and($verdict(['q50_m3_h_m2' => 0.9872]))
        ->toBe(['fail', ['fail test.missed', 'note test.near']])
        ->and($verdict(['q75_l_s_m2' => 2.0]))
        ->toBe(['pass', []]);
});

it('says nothing of the building by readings that are made up', function () {
    [$test, $said] = fanTold(fanSheet(['target' => ['n50_1_h' => 0.6], 'simulated' => true]));
    expect($test['simulated'])->toBeTrue()->and($said)->toBe(['note test.simulated-missed']);
});

it('judges what is outside of its standard not valid, with the reason', function (array $change, string $why) {
    [$test, $said] = fanTold($change + fanSheet(['target' => ['n50_1_h' => 0.6]]));
    expect($test['verdict'])
        ->toBe('not valid')
        ->and($test['why'])
        ->toContain($why)
        ->and($said)
        ->toContain("caution test.not-valid-$why")
        ->and($said)
        ->not->toContain('fail test.missed');
})->with(function () {
    $points = fanSheet()['points'];
    $with = fn (Closure $flow): array => [
        'points' => array_map(
            fn (array $p): array => ['flow_m3_h' => $flow(abs($p['pressure_pa']), $p['flow_m3_h'])] + $p,
            $points,
        ),
        'zero_flow_before_pa' => [],
        'zero_flow_after_pa' => [],
    ];

    return [
        'an offset above 5 Pa' => [['zero_flow_before_pa' => [-6.1, -5.9]], 'offset'],
        'four pressures' => [['points' => array_slice($points, 0, 4)], 'points'],
        'both directions' => [['points' => [['pressure_pa' => 30, 'flow_m3_h' => 350], ...$points]], 'signs'],
        'an exponent below a half' => [$with(fn (float $p): float => 100 * $p ** 0.4), 'exponent'],
        'an exponent above one' => [$with(fn (float $p): float => 100 * $p ** 1.2), 'exponent'],
        'readings on no line' => [$with(fn (float $p, float $q): float => $q * (fmod($p, 2) > 1 ? 1.5 : 0.7)), 'r2'],
        'a reading below the offset' => [
            ['points' => [['pressure_pa' => -1, 'flow_m3_h' => 30], ...$points]],
            'readings',
        ],
    ];
});

it('is read with no more than its readings and temperatures, and written as it was read', function () {
    $bare = array_intersect_key(fanSheet(), array_flip(['id', 'kind', 'points', 'indoor_c', 'outdoor_c']));
    expect(fanTold($bare)[0]['n50_1_h'])->toBeNull();
    $full = fanSheet([
        'title' => 'Before the boards',
        'date' => '2027-05-03',
        'stage' => 'before-cover',
        'target' => ['n50_1_h' => 0.6],
        'simulated' => true,
        'leaks' => [['words' => 'smoke at the head of the stair window', 'joint' => 'head:a|b'], ['words' => 'a tie']],
    ]);
    $file = ['format' => 'apron-project/1', 'project' => ['name' => 'P', 'units' => 'si'], 'tests' => [$full]];
    $written = ProjectFormat::write(readProject($file));
    expect(json_decode($written, true)['tests'][0])->toEqual($full);
});

it('refuses what is no reading at all, with its place', function (array $change, string $pointer) {
    $file = ['format' => 'apron-project/1', 'project' => ['name' => 'P', 'units' => 'si']];
    try {
        readProject($file + ['tests' => [$change + fanSheet()]]);
        $at = 'read';
    } catch (FileRefused $refused) {
        $at = $refused->pointer;
    }
    expect($at)->toBe($pointer);
})->with([
    'another kind' => [['kind' => 'hose'], '/tests/0/kind'],
    'a flow below nothing' => [['points' => [['pressure_pa' => 5, 'flow_m3_h' => -3]]], '/tests/0/points/0/flow_m3_h'],
    'no volume' => [['volume_m3' => 0], '/tests/0/volume_m3'],
    'a target of another figure' => [['target' => ['n10' => 3]], '/tests/0/target/n10'],
    'a barometer on the moon' => [['barometer_pa' => 3], '/tests/0/barometer_pa'],
    'a stage that there is not' => [['stage' => 'later'], '/tests/0/stage'],
]);

it('takes size from the building and target from the brief where it states none', function () {
    $sheet = array_diff_key(fanSheet(), ['volume_m3' => 0, 'envelope_m2' => 0]);
    $assessed = new Assessment(readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si', 'air_target' => ['n50_1_h' => 0.6]],
        'building' => ['blocks' => [[
            'id' => 'hall',
            'outline' => [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
            'base_mm' => 0,
            'top_mm' => 6400,
        ]]],
        'tests' => [$sheet],
    ]));
    $told = $assessed->toArray(new Words(UnitSystem::SI))['tests'][0];
    // 12 · 8 · 6.4 m³, and 2 · 96 + 40 · 6.4 m² about it.
    expect($told['n50_1_h'])
        ->toEqualWithDelta($told['q50_m3_h'] / 614.4, 1e-9)
        ->and($told['q50_m3_h_m2'])
        ->toEqualWithDelta($told['q50_m3_h'] / 448, 1e-9)
        ->and($told['verdict'])
        ->toBe('fail');
});

it('tells a house tested both ways by the mean of both, where they are a pair', function () {
    $into = fn (array $more): array => $more + fanSheet([
        'id' => 'f2',
        'points' => array_map(
            fn (array $point): array => [
                'pressure_pa' => -$point['pressure_pa'],
                'flow_m3_h' => 1.1 * $point['flow_m3_h'],
            ],
            fanSheet()['points'],
        ),
        'title' => 'Blown into',
        'date' => '2027-05-01',
    ]);
    $out = fanSheet(['date' => '2027-05-01', 'other_way' => 'f2']);
    [$told, $said] = fanTold($out, $into([]));
    [$other] = fanTold($into([]));
    $both = $told['both_ways'];
    expect($both['with'])->toBe('f2')->and($both['title'])->toBe('Blown into');
    foreach (['q50_m3_h', 'n50_1_h', 'q50_m3_h_m2', 'q75_l_s_m2'] as $figure) {
        expect($both[$figure])->toEqualWithDelta(($told[$figure] + $other[$figure]) / 2, 1e-9);
    }
    expect($said)->not->toContain('note test.no-pair');

    // Another day, the same way, a test that is none, a made up one, one that is not there: no pair, and that is said.
    $few = array_slice($into([])['points'], 0, 3);
    foreach ([
        [$into(['date' => '2027-06-01'])],
        [$into(['points' => fanSheet()['points']])],
        [$into(['points' => $few])],
        [$into(['simulated' => true])],
        [],
    ] as $others) {
        [$told, $said] = fanTold($out, ...$others);
        expect($told['both_ways'])->toBeNull()->and($said)->toContain('note test.no-pair');
    }
    // Two without a date are not known to be of one day.
    [$told] = fanTold(fanSheet(['other_way' => 'f2']), array_diff_key($into([]), ['date' => 0]));
    expect($told['both_ways'])->toBeNull();
});
