<?php

declare(strict_types=1);

use Apron\Assembly\Exposure;
use Apron\Assembly\RainLoad;
use Apron\Climate\Air;
use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Climate\Month;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Quantity\Conversion;
use Apron\Rules\Severity;
use Apron\Vapour\AirLeak;

/** A wall of the catalogue's materials, as [material, mm, more], in one of the generic climates. */
function practiceWall(
    array $layers,
    string $climate = 'cold humid',
    string $kind = 'wall',
    array $more = [],
    ?string $zone = null,
    array $schools = [],
): AssemblyAssessment {
    $air = ClimateFormat::writeClimate((new GenericClimates)->named("$climate (made up)"));
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'case', 'units' => 'si'] + ($schools === [] ? [] : ['schools' => $schools]),
        'climate' => array_replace($air, $zone === null ? [] : ['zone' => $zone]),
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 21, 'rh_pct' => 40],
        'assemblies' => [
            [
                'id' => 'w',
                'name' => 'w',
                'kind' => $kind,
                'layers' => array_map(
                    fn (array $l) => ['material' => $l[0], 'thickness_mm' => $l[1]] + ($l[2] ?? []),
                    $layers,
                ),
            ] + $more,
        ],
    ]);

    return new AssemblyAssessment($project->brief, $project->assemblies[0]);
}

/** @return array<string, Severity> */
function codes(AssemblyAssessment $assessed): array
{
    $codes = [];
    foreach ($assessed->findings() as $finding) {
        $codes[$finding->code] = $finding->severity;
    }

    return $codes;
}

it('asks for the least insulation outside of IRC 2021, table R702.7(3) (from memory)', function (
    string $zone,
    float $cavity,
    float $least,
) {
    // By the label of the board, and with what rounding to inches may take: 1.5 %. More is short.
    $label = (new Catalogue)->find('eps')->labelResistanceOf(1);
    $board = fn (float $r) => ($r * Conversion::RSI_PER_R) / $label;
    $wall = fn (float $r) => practiceWall(
        [['latex-paint', 0.1], ['gypsum-board', 12.7], ['glass-wool-batt', $cavity], ['osb', 11], ['eps', $board($r)]],
        'cold continental',
        zone: $zone,
    );
    expect(codes($wall($least * 0.986)))
        ->toHaveKey('practice.exterior-r-enough')
        ->and(codes($wall($least * 0.984)))
        ->toHaveKey('practice.exterior-r-short');
})->with([
    ['4C', 89, 2.5],
    ['4C', 140, 3.75],
    ['5A', 89, 5],
    ['5B', 140, 7.5],
    ['6A', 89, 7.5],
    ['6B', 140, 11.25],
    ['7', 89, 10],
    ['7', 140, 15],
    ['8', 89, 12.5],
    ['8', 140, 20],
]);

it('asks nothing of it in the warm zones, behind a retarder, or where the zone is not known', function () {
    $layers = [['latex-paint', 0.1], ['gypsum-board', 12.7], ['glass-wool-batt', 140], ['osb', 11]];
    $has = fn (AssemblyAssessment $a) => (bool) array_filter(
        array_keys(codes($a)),
        fn (string $c) => str_starts_with($c, 'practice.exterior-r'),
    );
    expect($has(practiceWall($layers, 'hot humid')))
        ->toBeFalse()
        ->and($has(practiceWall([['retarder-paint', 0.1], ...array_slice($layers, 1)])))
        ->toBeFalse()
        ->and(codes(practiceWall([['retarder-paint', 0.1], ...array_slice($layers, 1)])))
        ->toHaveKey('practice.retarder-inside');
});

it('lets a ventilated cladding stand in for it in zones 4C and 5, not in 6 (IRC 2021, from memory)', function () {
    $layers = [
        ['latex-paint', 0.1],
        ['gypsum-board', 12.7],
        ['glass-wool-batt', 89],
        ['osb', 11],
        ['air-layer', 19, ['air' => 'ventilated']],
        ['fibre-cement-lap', 8],
    ];
    expect(codes(practiceWall($layers, zone: '5A')))
        ->toHaveKey('practice.vented-cladding-instead')
        ->and(codes(practiceWall($layers, zone: '6A')))
        ->toHaveKey('practice.exterior-r-short');
});

it('asks for the least insulation above an unvented deck of IRC 2021, table R806.5 (from memory)', function (
    string $zone,
    float $least,
) {
    $label = (new Catalogue)->find('eps')->labelResistanceOf(1);
    $roof = fn (float $r) => practiceWall(
        [
            ['gypsum-board', 12.7],
            ['cellulose', 89],
            ['osb', 15],
            ['eps', ($r * Conversion::RSI_PER_R) / $label],
            ['felt-30', 1.4],
        ],
        'cold humid',
        'roof',
        zone: $zone,
    );
    expect(codes($roof($least * 0.986)))
        ->toHaveKey('practice.roof-r-enough')
        ->and(codes($roof($least * 0.984)))
        ->toHaveKey('practice.roof-r-short');
})->with([['1A', 5], ['2B', 5], ['3C', 5], ['4C', 10], ['4A', 15], ['5A', 20], ['6B', 25], ['7', 30], ['8', 35]]);

it(
    'holds the sheathing against the indoor dew point, and the share that is needed is the share that just does',
    function () {
        $assessed = practiceWall(
            [['gypsum-board', 12.7], ['glass-wool-batt', 140], ['osb', 11], ['eps', 40]],
            'cold continental',
        );
        $finding = array_values(
            array_filter($assessed->findings(), fn ($f) => $f->code === 'practice.plane-below-dew-point'),
        )[0];
        // By hand: what lies inside of the plane over all of it, between the two temperatures.
        $inside = 0.13 + 12.7 / 250 + 140 / 40;
        $all = $inside + 11 / 130 + 40 / 36 + 0.04;
        $outdoors = $assessed->climate->months[0]->celsius;
        $shift = 21 - ((21 - $outdoors) * $inside) / $all;
        expect($finding->figures['plane_c'])
            ->toEqualWithDelta($shift, 0.35)
            ->and($finding->figures['dew_point_c'])
            ->toEqualWithDelta(Air::dewPoint(0.4 * Air::saturation(21)), 1e-9)
            ->and($finding->figures['needed_pct'])
            ->toEqualWithDelta((100 * (Air::dewPoint(0.4 * Air::saturation(21)) - $outdoors)) / (21 - $outdoors), 1e-9);
    },
);

it('bounds what a leak can leave: its flow times the water it cannot keep (arithmetic worked by hand)', function () {
    // Stack 3463 · 2.5 · (1/263.15 − 1/294.15) = 3.4672 Pa; wind 0.6 · 16 · 0.3 = 2.88; together 6.3472.
    $indoors = ['celsius' => 21.0, 'pressure' => 0.4 * Air::saturation(21)];
    $leak = new AirLeak(0.2, $indoors, new Month(-10, 80, wind: 4), 0.0);
    expect($leak->pressure)
        ->toEqualWithDelta(6.3472, 1e-3)
        ->and($leak->flow)
        ->toEqualWithDelta(0.2e-3 * (6.3472 / 75) ** 0.65, 1e-8);
    $water = $indoors['pressure'] / (461.5 * 294.15) - 610.5 / (461.5 * 273.15);
    expect($leak->bound)
        ->toEqualWithDelta($leak->flow * $water * 86400e3, 1e-9)
        ->and((new AirLeak(0.2, $indoors, new Month(-10, 80), 15.0))->bound)
        ->toBe(0.0);
});

it('fails wood that dries less than the reserve asked of it, in a wall and in a roof (DIN 68800-2, from memory)', function () {
    $between = fn (string $outer, string $climate = 'cold humid', string $kind = 'wall') => codes(
        practiceWall(
            [['gypsum-board', 12.7], ['pe-film', 0.15], ['glass-wool-batt', 140], ['osb', 11], [$outer, 1]],
            $climate,
            $kind,
        ),
    );
    expect($between('membrane-sbs')['drying.reserve-short'])
        ->toBe(Severity::Fail)
        ->and($between('membrane-sbs', kind: 'roof')['drying.reserve-short'])
        ->toBe(Severity::Fail)
        ->and($between('membrane-permeable'))
        ->not->toHaveKey('drying.reserve-short');
    // Retarder paint and a 0.5 perm felt: both under one perm, and the reserve says that it dries all the same.
    $codes = codes(practiceWall([['retarder-paint', 0.1], ['glass-wool-batt', 140], ['osb', 11], ['felt-30', 1.4]]));
    expect($codes['drying.reserve'])->toBe(Severity::Note);
});

it('drives the water of a wet cladding inward onto a film, and not across moving air', function () {
    $wall = fn (array $gap) => codes(
        practiceWall(
            [
                ['gypsum-board', 12.7],
                ['pe-film', 0.15],
                ['glass-wool-batt', 89],
                ['osb', 11],
                ['building-paper', 0.7],
                ...$gap,
                ['cement-render', 22],
            ],
            'hot humid',
        ),
    );
    expect($wall([])['practice.inward-drive'])
        ->toBe(Severity::Caution)
        ->and($wall([['air-layer', 19, ['air' => 'ventilated']]]))
        ->toHaveKey('practice.reservoir-drained');
});

it('notes closed foam outside where the project settled something beside it or instead of it', function (
    string $school,
    string $inner,
    string $outer,
    array $noted,
) {
    $codes = codes(
        practiceWall(
            [['gypsum-board', 12.7], [$inner, 0.2], ['glass-wool-batt', 140], ['osb', 11], [$outer, 50]],
            schools: ['closed-foam' => $school],
        ),
    );
    expect(
        array_values(
            array_filter(array_keys($codes), fn (string $code) => str_starts_with($code, 'practice.closed-foam')),
        ),
    )->toBe($noted);
})->with([
    'alone, as is usual' => ['alone', 'latex-paint', 'polyiso-foil', []],
    'a smart retarder is asked for and missing' => [
        'smart-inside',
        'latex-paint',
        'polyiso-foil',
        ['practice.closed-foam-smart-inside'],
    ],
    'asked for and there' => ['smart-inside', 'smart-film-nylon', 'polyiso-foil', []],
    'a plain film is not one' => ['smart-inside', 'pe-film', 'polyiso-foil', ['practice.closed-foam-smart-inside']],
    'open insulation instead is asked for' => [
        'permeable',
        'smart-film-nylon',
        'polyiso-foil',
        ['practice.closed-foam-permeable'],
    ],
    'and is there' => ['permeable', 'latex-paint', 'mineral-wool-board', []],
]);

it('notes foam and nail base the other way round than the project settled, and nothing where it did not', function (
    string $school,
    bool $foamOutside,
    ?string $noted,
) {
    $pair = $foamOutside ? [['osb', 11], ['eps', 80]] : [['eps', 80], ['osb', 11]];
    $codes = codes(
        practiceWall([['gypsum-board', 12.7], ['glass-wool-batt', 140], ...$pair], schools: ['nail-base' => $school]),
    );
    expect(
        array_values(
            array_filter(array_keys($codes), fn (string $code) => str_starts_with($code, 'practice.nail-base')),
        ),
    )->toBe($noted === null ? [] : ["practice.nail-base-$noted"]);
})->with([
    ['by-case', true, null],
    ['by-case', false, null],
    ['foam-outside', true, null],
    ['foam-outside', false, 'foam-outside'],
    ['sheathing-outside', true, 'sheathing-outside'],
    ['sheathing-outside', false, null],
]);

it('dries a layer through what lies on either side: permeances in series (arithmetic worked by hand)', function () {
    $assessed = practiceWall(
        [['gypsum-board', 12.7], ['glass-wool-batt', 100], ['plywood', 12.5], ['eps', 60]],
        'marine',
    );
    $plywood = array_values(array_filter($assessed->drying, fn ($d) => $d->run->material()->id === 'plywood'))[0];
    // Half of the plywood, wet cup for it lies outside of the wool: 0.00625 · 70; inward wool 0.1 and gypsum 0.127;
    // outward 3.6.
    expect($plywood->inwardPermeance)
        ->toEqualWithDelta(200 / (0.4375 + 0.1 + 0.127), 1e-6)
        ->and($plywood->outwardPermeance)
        ->toEqualWithDelta(200 / (0.4375 + 3.6), 1e-6)
        ->and($plywood->way()->value)
        ->toBe('both');
    foreach ($plywood->months as $month) {
        expect(min($month))->toBeGreaterThanOrEqual(0.0);
    }
    expect($plywood->allowance())
        ->toEqualWithDelta(($plywood->year() / 365) * 1000 * 0.5, 1e-9)
        ->and($plywood->store)
        ->toEqualWithDelta(40 * 0.0125, 1e-12);
});

it(
    'lets height raise and eaves lower the rain on a wall (ASHRAE 160-2016, 4.6, from memory; arithmetic worked by hand)',
    function () {
        $month = new Month(10, 80, rain: 100, wind: 4);
        // 0.2 · 1.0 · 0.5 · 4 · 100 / π = 12.73 kg/m² on a wall facing anywhere, twice that on the worst facing; one
        // hundredth of it past the cladding.
        expect(RainLoad::onWall($month, new Exposure))
            ->toEqualWithDelta(25.465, 1e-3)
            ->and(RainLoad::pastCladding($month, new Exposure))
            ->toEqualWithDelta(0.25465, 1e-5)
            ->and(RainLoad::onWall($month, new Exposure(over: Apron\Assembly\Overhead::Eaves)))
            ->toEqualWithDelta(25.465 * 0.7, 1e-3)
            ->and(RainLoad::onWall($month, new Exposure(60, Apron\Assembly\Terrain::Severe)))
            ->toEqualWithDelta(25.465 * 1.5, 3e-3)
            ->and(RainLoad::onWall(new Month(10, 80), new Exposure))
            ->toBeNull();
    },
);

it('holds more water for longer in a plank than in a strand board of the same wall', function () {
    $store = fn (string $board, float $mm) => array_values(
        array_filter(
            practiceWall([['gypsum-board', 12.7], ['glass-wool-batt', 100], [$board, $mm]])->drying,
            fn ($d) => $d->run->material()->id === $board,
        ),
    )[0]->store;
    expect($store('plank-sheathing', 19))->toBeGreaterThan(2 * $store('osb', 11));
});

it('takes for insulation what conducts no better than the figure, and no air layer', function (
    array $layer,
    bool $insulates,
) {
    expect(wall([[0.25, 10, 12.5], $layer])->layers[1]->insulates())->toBe($insulates);
})->with([[[0.065, 1, 100], true], [[0.0651, 1, 100], false], [[0.03, 1, 100, ['air' => 'still']], false]]);

it('takes a film of one perm for a retarder, however it is typed', function (string $typed, bool $retarder) {
    $permeance = (new Apron\Quantity\QuantityReader(Apron\Quantity\UnitSystem::US))->read(
        $typed,
        Apron\Quantity\Dimension::Permeance,
    )->value;
    $film = ['name' => 'film', 'conductivity_w_mk' => 0.3, 'permeance_ng_pa_s_m2' => $permeance];
    $file = wallFile([[0.25, 10, 12.7], [0.04, 1, 140], [0.13, 50, 11]], 15, 60);
    $file['materials'] = [...$file['materials'], ['id' => 'in'] + $film, ['id' => 'out'] + $film];
    $file['materials'][2]['family'] = 'osb';
    $layers = $file['assemblies'][0]['layers'];
    $file['assemblies'][0]['layers'] = [
        $layers[0],
        ['material' => 'in', 'thickness_mm' => 0.2],
        $layers[1],
        $layers[2],
        ['material' => 'out', 'thickness_mm' => 0.2],
    ];
    $project = readProject($file);
    $codes = array_map(
        fn ($f) => $f->code,
        (new Apron\Judgement\AssemblyAssessment($project->brief, $project->assemblies[0]))->findings(),
    );
    $said = array_filter($codes, fn (string $c): bool => str_starts_with($c, 'drying.reserve'));
    expect($said !== [])->toBe($retarder, implode(' ', $codes));
})->with([['1 perm', true], ['57.2 ng', true], ['1.01 perm', false]]);

it('caps a room stated by class at its own saturation, and says so, instead of refusing the file', function () {
    $class = fn (int $class, float $celsius) => practiceWall(
        [['gypsum-board', 12.7], ['glass-wool-batt', 89], ['osb', 11]],
        'hot humid',
        more: ['indoor' => ['kind' => 'humidity-class', 'class' => $class, 'temperature_c' => $celsius]],
    );
    expect(codes($class(3, 20))['room.capped'])
        ->toBe(Severity::Note)
        ->and(codes($class(1, 26)))
        ->not->toHaveKey('room.capped');
    foreach ($class(5, 20)->year->airs as $air) {
        expect($air['inside'])->toBeLessThanOrEqual(1.0);
    }
});

it('takes the project’s word for it that no layer is named for vapour, and asks the reserve', function () {
    $wall = fn (array $schools, string $climate = 'cold humid') => codes(
        practiceWall(
            [
                ['gypsum-board', 12.7, ['controls' => ['air']]],
                ['glass-wool-batt', 89],
                ['osb', 11],
                ['membrane-permeable', 0.6, ['controls' => ['water']]],
                ['mineral-wool-board', 150, ['controls' => ['heat']]],
            ],
            $climate,
            schools: $schools,
        ),
    );
    expect($wall([])['control.missing'])
        ->toBe(Severity::Caution)
        ->and($wall(['vapour-layer' => 'by-ratio']))
        ->not->toHaveKey('control.missing')
        ->and($wall(['vapour-layer' => 'by-ratio'])['control.vapour-by-ratio'])
        ->toBe(Severity::Note)
        // In a warm zone nobody needs one, and asking for it would be advice to build the fault.
        ->and($wall([], 'hot humid'))
        ->not->toHaveKey('control.missing');
});

it('takes sun and sky on a roof where somebody says what its face is, and the air alone elsewhere', function () {
    $layers = [['gypsum-board', 12.7], ['cellulose', 235], ['osb', 15], ['membrane-epdm', 1.2]];
    $roof = fn (array $more) => practiceWall($layers, 'cold humid', 'roof', $more);
    [$air, $dark, $light] = [$roof([]), $roof(['roof_face' => 'dark']), $roof(['roof_face' => 'light'])];
    $july = $air->climate->months[6];
    // By hand: (0.9 · I − 40) · 0.04 on the air of the month, its vapour unchanged.
    expect($dark->climate->months[6]->celsius)
        ->toEqualWithDelta($july->celsius + (0.9 * $july->sun - 40) * 0.04, 1e-9)
        ->and($dark->climate->months[6]->vapourPressure())
        ->toEqualWithDelta($july->vapourPressure(), 1e-9)
        ->and($dark->year->most())
        ->toBeLessThan($light->year->most())
        // A sky that takes more than a dull winter gives makes a light roof wetter than the air alone.
        ->and($light->climate->months[11]->celsius)
        ->toBeLessThan($air->climate->months[11]->celsius);
    expect(fn () => practiceWall($layers, more: ['roof_face' => 'dark']))->toThrow(
        Apron\Json\FileRefused::class,
        '/assemblies/0/roof_face',
    );
});
