<?php

declare(strict_types=1);

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Plan\Cures;
use Apron\Plan\CureTime;
use Apron\Plan\DayWeather;
use Apron\Plan\Gates;
use Apron\Plan\PlanFormat;
use Apron\Plan\Showers;

require_once __DIR__.'/ClocksTest.php';

/** @return array<string, array{array<string, mixed>}> cases that were judged before there was code for them */
function weatherCases(string $of): array
{
    $read = json_decode((string) file_get_contents(__DIR__.'/weather.json'), true);

    return array_combine(array_column($read[$of], 'id'), array_map(fn (array $case): array => [$case], $read[$of]));
}

function soldProduct(string $id): Material
{
    return (new Catalogue)->find($id) ?? throw new LogicException("no material $id");
}

it('lets work go on or stops it, as was judged', function (array $case) {
    $on = new DayWeather(0, $case['low'], $case['high'], $case['rain'], $case['rh'] ?? null, $case['wind'] ?? null);
    $product = isset($case['product']) ? soldProduct($case['product']) : null;
    expect(Gates::of($product, $case['needs_dry'] ?? false, $on, $case['before'] ?? 0.0)->value)->toBe($case['gate']);
})->with(weatherCases('gates'));

it('takes as long to cure as was reckoned', function (array $case) {
    $product = $case['product'] === 'own'
        ? readProject([
            'format' => 'apron-project/1',
            'project' => ['name' => 'P', 'units' => 'si'],
            'materials' => [[
                'id' => 'own',
                'name' => 'Own',
                'family' => 'fluid-acrylic',
                'conductivity_w_mk' => 0.2,
                'sd_m' => 1,
                'product' => ['cure_at' => $case['cure_at']],
                'source' => ['kind' => 'data-sheet', 'name' => 'invented'],
            ]],
        ])->materials->find('own')
        : soldProduct($case['product']);
    expect(CureTime::hours($product, Cures::from($case['of']), $case['c'], $case['rh']))
        ->toEqualWithDelta($case['hours'], 1e-9);
})->with(weatherCases('cures'));

it('wets what was said a shower wets', function (array $case) {
    expect(Showers::wetOf(array_map(soldProduct(...), $case['stands'])))->toBe($case['wets']);
})->with(weatherCases('showers'));

/** @return array<string, mixed> a coat in two layers, with boards over it; April is 13 °C, May 23 */
function coatedPlan(array $boards, array $plan = []): array
{
    $months = array_map(fn (int $m): array => ['mean_c' => $m < 5 ? 13 : 23, 'rh_pct' => 50], range(1, 12));

    return calendarOf($plan + [
        'work_days' => [1, 2, 3, 4, 5, 6, 7],
        'tasks' => [
            ['id' => 'coat', 'title' => 'Coat', 'days' => 2, 'product' => 'fluid-permeable', 'area' => 'north'],
            $boards + ['id' => 'boards', 'title' => 'Boards', 'days' => 2, 'covers' => ['coat'], 'area' => 'north'],
        ],
    ], ['climate' => ['name' => 'C', 'months' => $months]]);
}

it('waits until a coat has cured in the air of those days', function () {
    $told = coatedPlan(['after' => [['task' => 'coat', 'until' => 'cure']]]);
    // 24 h at 23 °C are 48 at 13: from the evening of the 2nd to that of the 4th.
    expect($told['calendar']['cures'])
        ->toEqual([[
            'task' => 'boards',
            'waits_for' => 'coat',
            'until' => 'cure',
            'hours' => 48,
            'temperature_c' => 13,
            'rh_pct' => 50,
        ]])
        ->and($told['calendar']['tasks'][1])
        ->toMatchArray(['from' => '2027-04-05', 'because' => 'coat'])
        ->and(calendarSays($told))
        ->not->toContain('caution plan.covered-early');
    $may = coatedPlan(['after' => [['task' => 'coat', 'until' => 'cure']]], ['start' => '2027-05-01']);
    expect($may['calendar']['tasks'][1]['from'])->toBe('2027-05-04');
    // A forecast says more than the month.
    $forecast = coatedPlan(['after' => [['task' => 'coat', 'until' => 'cure']]], [
        'forecast' => [['date' => '2027-04-02', 'low_c' => 20, 'high_c' => 26, 'rain_mm' => 0]],
    ]);
    expect($forecast['calendar']['cures'][0]['hours'])->toEqual(24);
});

it('tells what is covered before it has cured', function () {
    expect(calendarSays(coatedPlan(['after' => [['task' => 'coat', 'wait_h' => 24]]])))
        ->toContain('caution plan.covered-early')
        ->and(calendarSays(coatedPlan(['after' => [['task' => 'coat', 'wait_h' => 48]]])))
        ->not->toContain('caution plan.covered-early');
});

it('tells a primer that has gone off over night, and none that is covered the same day', function () {
    $plan = fn (array $after): array => calendarOf(['tasks' => [
        ['id' => 'prime', 'title' => 'Primer', 'days' => 1, 'product' => 'primer-water-borne'],
        ['id' => 'skin', 'title' => 'Membrane', 'days' => 2, 'covers' => ['prime'], 'after' => [$after]],
    ]]);
    expect(calendarSays($plan(['task' => 'prime'])))
        ->toContain('caution plan.primer-closed')
        ->and(calendarSays($plan(['task' => 'prime', 'from' => 'start'])))
        ->not->toContain('caution plan.primer-closed');
});

it('tells the first day that the forecast stops, and what its rain reaches', function () {
    $forecast = [
        ['date' => '2027-04-01', 'low_c' => 8, 'high_c' => 16, 'rain_mm' => 0],
        ['date' => '2027-04-02', 'low_c' => 8, 'high_c' => 16, 'rain_mm' => 9],
        ['date' => '2027-04-03', 'low_c' => 8, 'high_c' => 16, 'rain_mm' => 4],
    ];
    $told = calendarOf([
        'work_days' => [1, 2, 3, 4, 5, 6, 7],
        'forecast' => $forecast,
        'tasks' => [
            ['id' => 'osb', 'title' => 'Panels', 'days' => 1, 'product' => 'osb', 'area' => 'north'],
            [
                'id' => 'skin',
                'title' => 'Membrane',
                'days' => 3,
                'product' => 'membrane-sbs',
                'covers' => ['osb'],
                'after' => [['task' => 'osb']],
                'area' => 'north',
            ],
        ],
    ]);
    $gates = fn (array $day): array => array_column($day['gates'], 'gate', 'task');
    expect(array_map($gates, $told['calendar']['weather']))
        ->toBe([['osb' => 'open'], ['skin' => 'rain'], ['skin' => 'rain']])
        ->and($told['calendar']['showers'])
        ->toBe([
            ['area' => 'north', 'from' => '2027-04-01', 'to' => '2027-04-03', 'wets' => ['osb'], 'openings' => []],
        ]);
    $said = array_values(array_filter(
        $told['findings'],
        fn (array $f): bool => in_array($f['code'], ['plan.weather', 'plan.rain-on-bare'], true),
    ));
    expect(array_column($said, 'title'))
        ->toContain('Membrane on 2027-04-02: rain')
        ->and(implode(' ', array_column($said, 'title')))
        ->toContain('9.0 mm of rain on 2027-04-02 reaches');
});

it('knows openings as they stand after the step that is done', function () {
    $opening = [
        'id' => 'o1',
        'title' => 'O',
        'generator' => 'strapped-unit-in-fastened-sheet',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150],
    ];
    $steps = count(readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'openings' => [$opening],
    ])->details[0]->steps);
    $told = calendarOf([
        'work_days' => [1, 2, 3, 4, 5, 6, 7],
        'tasks' => [
            ['id' => 'wrap', 'title' => 'Wrap', 'days' => 1, 'product' => 'polyolefin-wrap', 'area' => 'n'],
            [
                'id' => 'pan',
                'title' => 'Pans',
                'days' => 1,
                'details' => ['o1'],
                'steps' => [1, 3],
                'after' => [['task' => 'wrap']],
                'area' => 'n',
            ],
            [
                'id' => 'set',
                'title' => 'Units',
                'days' => 2,
                'details' => ['o1'],
                'steps' => [4, $steps],
                'after' => [['task' => 'pan']],
                'area' => 'n',
            ],
        ],
    ], ['openings' => [$opening]]);
    // Open from the evening of the wrap to the evening on which the last step is done.
    expect($told['calendar']['showers'])->toBe([
        ['area' => 'n', 'from' => '2027-04-01', 'to' => '2027-04-03', 'wets' => [], 'openings' => ['o1']],
    ]);
});

it('notes days that must be dry in a month of rain, and what stands bare for long', function () {
    $months = array_map(
        fn (int $m): array => ['mean_c' => 12, 'rh_pct' => 60, 'rain_mm' => $m === 4 ? 120 : 30],
        range(1, 12),
    );
    $told = calendarOf([
        'tasks' => [
            ['id' => 'osb', 'title' => 'Panels', 'days' => 1, 'product' => 'osb', 'needs_dry' => true],
            [
                'id' => 'skin',
                'title' => 'Membrane',
                'days' => 1,
                'product' => 'membrane-sbs',
                'not_before' => '2027-05-03',
                'needs_dry' => true,
            ],
        ],
    ], ['climate' => ['name' => 'C', 'months' => $months]]);
    $said = calendarSays($told);
    expect(array_count_values($said)['note plan.wet-month'])
        ->toBe(1)
        ->and($said)
        ->toContain('caution plan.bare-long');
});

it('writes forecasts, cures and steps as it read them, and refuses what cannot be', function () {
    $plan = [
        'start' => '2027-04-01',
        'work_days' => [1, 2, 3, 4, 5],
        'tasks' => [
            ['id' => 'a', 'title' => 'A', 'days' => 1, 'details' => ['o1'], 'steps' => [1, 4]],
            ['id' => 'b', 'title' => 'B', 'days' => 1, 'after' => [['task' => 'a', 'until' => 'recoat']]],
        ],
        'forecast' => [
            ['date' => '2027-04-01', 'low_c' => 1.0, 'high_c' => 9.0, 'rain_mm' => 0.0, 'rh_pct' => 80.0],
            ['date' => '2027-04-02', 'low_c' => 2.0, 'high_c' => 9.5, 'rain_mm' => 3.0, 'wind_m_s' => 7.0],
        ],
        'forecast_by' => 'simulated-station',
    ];
    expect(PlanFormat::write(PlanFormat::read(Node::of($plan))))->toEqual($plan);
    $refusal = function (array $change) use ($plan): string {
        try {
            PlanFormat::read(Node::of($change + $plan));
        } catch (FileRefused $refused) {
            return $refused->pointer;
        }

        return 'read';
    };
    $day = $plan['forecast'][0];
    expect($refusal(['forecast' => [['high_c' => -2] + $day]]))
        ->toBe('/forecast/0/high_c')
        ->and($refusal(['forecast' => [$day, $day]]))
        ->toBe('/forecast/1/date')
        ->and($refusal(['tasks' => [['steps' => [4, 1]] + $plan['tasks'][0]]]))
        ->toBe('/tasks/0/steps')
        ->and($refusal(['tasks' => [
            $plan['tasks'][0],
            ['after' => [['task' => 'a', 'until' => 'cure', 'wait_h' => 4]]] + $plan['tasks'][1],
        ]]))
        ->toBe('/tasks/1/after/0/until');
});
