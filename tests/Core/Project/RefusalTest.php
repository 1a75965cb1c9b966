<?php

declare(strict_types=1);

// Each case: what is done to a sound file, where it must be refused, and words of the value and of what would be right.

function changed(string $path, mixed $value): string
{
    $file = demoFile();
    $at = &$file;
    foreach (array_filter(explode('/', $path), fn ($k) => $k !== '') as $key) {
        $at = &$at[$key];
    }
    if ($value === 'unset!') {
        $at = 'unset!';
        unset($at);
        $keys = explode('/', trim($path, '/'));
        $last = array_pop($keys);
        $parent = &$file;
        foreach ($keys as $key) {
            $parent = &$parent[$key];
        }
        unset($parent[$last]);
    } else {
        $at = $value;
    }

    return json_encode($file);
}

$layer = '/assemblies/0/layers/2';
$cases = [
    'thickness of zero' => ["$layer/thickness_mm", 0, 'above 0'],
    'negative thickness' => ["$layer/thickness_mm", -5, 'above 0'],
    'absurd thickness' => ["$layer/thickness_mm", 80000, 'up to 5000'],
    'thickness as words' => ["$layer/thickness_mm", 'thick', 'a finite number'],
    'unknown key in a layer' => ["$layer/colour", 'red', 'one of the keys'],
    'unknown section' => ['/whether', [], 'one of the keys'],
    'dangling material' => ["$layer/material", 'cheese', 'the id of a material'],
    'framing of a dangling material' => [
        "$layer/framing",
        ['material' => 'cheese', 'fraction' => 0.1],
        'the id of a material',
        '/material',
    ],
    'framing fraction of one' => ["$layer/framing", ['material' => 'lumber', 'fraction' => 1], 'below 1', '/fraction'],
    'framing fraction of zero' => ["$layer/framing", ['material' => 'lumber', 'fraction' => 0], 'above 0', '/fraction'],
    'framing spacing of zero' => [
        "$layer/framing",
        ['material' => 'lumber', 'fraction' => 0.1, 'spacing_mm' => 0],
        'above 0',
        '/spacing_mm',
    ],
    'no fasteners per m²' => ["$layer/fasteners/per_m2", 0, 'above 0'],
    'fastener of no thickness' => ["$layer/fasteners/diameter_mm", 0, 'above 0'],
    'fastener conducting nothing' => ["$layer/fasteners/conductivity_w_mk", -1, 'above 0'],
    'air on wool' => ["$layer/air", 'still', 'air layers'],
    'unknown air' => ['/assemblies/0/layers/3/air', 'breezy', 'one of still'],
    'unknown control' => ["$layer/controls", ['rain'], 'one of water', '/0'],
    'layer ids twice' => ["$layer/id", 'l1', 'no other layer'],
    'no layers' => ['/assemblies/0/layers', [], 'a list of 1 to 60'],
    'two hundred layers' => [
        '/assemblies/0/layers',
        array_fill(0, 200, ['material' => 'clt', 'thickness_mm' => 10]),
        'a list of 1 to 60',
    ],
    'a method for wooden studs' => [
        "$layer/framing",
        ['material' => 'lumber', 'fraction' => 0.1, 'method' => 'weighted-limits'],
        'family “metal”',
        '/method',
    ],
    'flange of zero' => [
        "$layer/framing",
        ['material' => 'lumber', 'fraction' => 0.1, 'flange_mm' => 0],
        'above 0',
        '/flange_mm',
    ],
    'a bridge of nothing' => ["$layer/bridges", [['name' => 'girt']], 'either psi_w_mk', '/0'],
    'a bridge of both kinds' => [
        "$layer/bridges",
        [['name' => 'girt', 'psi_w_mk' => 0.1, 'chi_w_k' => 0.1]],
        'either psi_w_mk',
        '/0',
    ],
    'a girt without its length' => [
        "$layer/bridges",
        [['name' => 'girt', 'psi_w_mk' => 0.1]],
        'missing',
        '/0/m_per_m2',
    ],
    'rain below zero' => ["$layer/inverted", ['rain_mm_day' => -1], 'from 0 to 50', '/rain_mm_day'],
    'soil behind moving air' => ['/assemblies/0/soil', ['depth_m' => 1], 'no soil'],
    'soil in the sky' => ['/assemblies/1/soil', ['depth_m' => -1], 'from 0 to 30', '/depth_m'],
    'an unknown country' => ['/assemblies/0/exposure', ['terrain' => 'lunar'], 'one of severe', '/terrain'],
    'a leak below zero' => ['/assemblies/0/air_leakage_l_s_m2', -0.1, 'from 0 to 100'],
    'own room wetter than wet' => [
        '/assemblies/0/indoor',
        ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 140],
        'up to 100',
        '/rh_pct',
    ],
    'own room of moisture and no air' => [
        '/assemblies/0/indoor',
        [
            'kind' => 'moisture-production',
            'temperature_c' => 20,
            'production_kg_day' => 8,
            'volume_m3' => 0,
            'air_changes_h' => 0.5,
        ],
        'above 0',
        '/volume_m3',
    ],
    'a room that would rain' => [
        '/indoor',
        [
            'kind' => 'moisture-production',
            'temperature_c' => 20,
            'production_kg_day' => 80,
            'volume_m3' => 100,
            'air_changes_h' => 0.1,
        ],
        'an indoor dew point at or below',
    ],
    'unknown films' => ['/project/schools', ['films' => 'still'], 'one of iso', '/films'],
    'unknown zone' => ['/climate/zone', '9Z', 'a climate zone'],
    'rain of a month below zero' => ['/climate/months/0/rain_mm', -4, 'from 0'],
    'a wet cup of another kind' => ['/materials/0/sd_wet_m', 3, 'same kind'],
    'a curve that falls back' => [
        '/materials/0/permeance_curve',
        [['rh_pct' => 50, 'permeance_ng_pa_s_m2' => 10], ['rh_pct' => 20, 'permeance_ng_pa_s_m2' => 20]],
        'rising order',
        '/1/rh_pct',
    ],
    'a curve of one point' => [
        '/materials/0/conductivity_curve',
        [['mean_c' => 10, 'conductivity_w_mk' => 0.03]],
        'a list of 2 to 50',
    ],
    'unknown kind of assembly' => ['/assemblies/0/kind', 'fence', 'one of wall'],
    'missing name' => ['/assemblies/0/name', 'unset!', 'missing'],
    'an opening by magic' => ['/openings/0/generator', 'by-magic', 'one of flanged-unit-in-fastened-sheet'],
    'an opening under the id of a detail' => ['/openings/1/id', 'o4', 'nor a detail'],
    'an opening too narrow' => ['/openings/0/parameters/width_mm', 120, '300 to 6000 mm'],
    'an opening without its depth' => [
        '/openings/1/parameters/depth_mm',
        'unset!',
        'a size from 60',
        '',
        '/openings/1/parameters',
    ],
    'a size of an opening in words' => ['/openings/0/parameters/height_mm', 'tall', 'a number of mm'],
    'an opening of cheese' => ['/openings/0/parameters/pan_material', 'cheese', 'the id of a material'],
    'an opening with a hat' => ['/openings/0/parameters/hat', 'top', 'one of width_mm'],
    'an opening with a picture' => ['/openings/0/picture', 'x', 'one of the keys'],
    'a training run with a step twice' => ['/training/0/order/1', 1, 'each step once'],
    'a training run without an hour' => ['/training/0/at', '2026-10-02', 'a time in UTC'],
    'a training run to the millisecond' => ['/training/0/at', '2026-10-02T07:40:00.5Z', 'to the second'],
    'a training run of no tries' => ['/training/0/tries', 0, 'from 1 to 999'],
    'a board over the face of less than nothing' => ['/details/0/opening/outer_board_mm', -20, 'above 0'],
    'a patch on a board that is not there' => ['/details/0/pieces/0/patches/0/facet', 'outer-face', 'one of face'],
    'an opening whose drip hangs off the wall that is drawn' => [
        '/openings/0/parameters/drip_mm',
        700,
        'keep every piece on “outer-face”',
        '',
        '/openings/0/parameters',
    ],
    'an opening behind a board as thick as a room' => ['/openings/0/parameters/insulation_mm', 4000, '10 to 1000 mm'],
    'assemblies twice' => ['/assemblies/1/id', 'w1', 'no other'],
    'surface resistance of zero' => ['/assemblies/0/rsi_m2k_w', 0, 'above 0'],
    'eleven months' => ['/climate/months', array_fill(0, 11, ['mean_c' => 1, 'rh_pct' => 50]), 'a list of exactly 12'],
    'humidity of zero' => ['/climate/months/3/rh_pct', 0, 'above 0'],
    'humidity over a hundred' => ['/climate/months/3/rh_pct', 101, 'up to 100'],
    'colder than anywhere' => ['/climate/months/3/mean_c', -300, 'from -70 to 60'],
    'indoor humidity below zero' => ['/indoor/rh_pct', -1, 'above 0'],
    'class six' => [
        '/indoor',
        ['kind' => 'humidity-class', 'class' => 6, 'temperature_c' => 20],
        'from 1 to 5',
        '/class',
    ],
    'condition without outdoors' => ['/conditions/0/outdoor_c', 'unset!', 'missing'],
    'conductivity of zero' => ['/materials/0/conductivity_w_mk', 0, 'above 0'],
    'no figure for vapour' => ['/materials/0/vapour_resistance_factor', 'unset!', 'exactly one of', '', '/materials/0'],
    'two figures for vapour' => ['/materials/0/sd_m', 2, 'exactly one of', '', '/materials/0'],
    'no figure for heat' => ['/materials/0/conductivity_w_mk', 'unset!', 'exactly one of', '', '/materials/0'],
    'permeance of zero' => ['/materials/1/permeance_ng_pa_s_m2', 0, 'above 0'],
    'unknown units' => ['/project/units', 'cubits', 'one of si, us'],
    'unknown school' => ['/project/schools', ['moon' => 'full'], 'one of the keys', '/moon'],
    'other format' => ['/format', 'apron-project/2', 'apron-project/1'],
    'patch outside its facet' => ['/details/0/pieces/1/patches/0/rect', [0, 0, 9000, 100], 'within the facet'],
    'patch of no width' => ['/details/0/pieces/1/patches/0/rect', [5, 0, 5, 100], 'u0 < u1'],
    'rect of three' => ['/details/0/pieces/1/patches/0/rect', [5, 0, 5], 'a list of exactly 4'],
    'unknown facet' => ['/details/0/pieces/1/patches/0/facet', 'gable', 'one of face'],
    'tucked under nothing' => ['/details/0/pieces/1/under', 'carpet', 'another piece'],
    'opening of no width' => ['/details/0/opening/width_mm', 0, 'above 0'],
    'reading of nothing' => ['/site/events/1/value_mm', 'unset!', 'either “value_mm” or “holds”', '', '/site/events/1'],
    'visit that is not there' => ['/site/events/1/visit', 'nowhere', 'the id of a visit'],
    'time without a zone' => ['/site/events/1/at', '2026-10-14 08:20', 'UTC'],
];

it('refuses', function (string $path, mixed $value, string $expected, string $below = '', ?string $pointer = null) {
    $answer = apronCheck(changed($path, $value));
    expect($answer['code'])
        ->toBe(2)
        ->and($answer['out'])
        ->toBe('')
        ->and($answer['err'])
        ->toContain('at '.($pointer ?? $path.$below).':')
        ->toContain($expected);
})->with($cases);

it('refuses what is no JSON, and names NaN with its line', function (string $json, string $why) {
    $answer = apronCheck($json);
    expect($answer['code'])->toBe(2)->and($answer['out'])->toBe('')->and($answer['err'])->toContain($why);
})->with([
    ['{"format": "apron-project/1",', 'not JSON'],
    ['[]', 'an object'],
    ['', 'not JSON'],
    ["{\"format\": \"apron-project/1\",\n \"x\": NaN}", 'NaN on line 2'],
    [
        preg_replace(
            '/"mean_c": [-.\d]+/',
            '"mean_c": 1e999',
            file_get_contents(__DIR__.'/../../../database/demo/project.json'),
        ),
        'a finite number',
    ],
]);

it('answers 0 without a fail and 1 with one, as JSON and as a table', function () {
    $sound = demoFile();
    $sound['assemblies'] = [$sound['assemblies'][0]];
    unset($sound['site'], $sound['building'], $sound['plan']);
    expect(apronCheck(json_encode($sound))['code'])->toBe(0)->and(apronCheck(json_encode(demoFile()))['code'])->toBe(1);
    $table = apronCheck(json_encode(demoFile()), false);
    expect($table['code'])->toBe(1)->and($table['out'])->toContain('FAIL')->toContain('not approved');
    expect(
        array_keys(
            json_decode(apronCheck('{"format":"apron-project/1","project":{"name":"n","units":"us"}}')['out'], true),
        ),
    )->toBe(['format', 'findings']);
});
