<?php

declare(strict_types=1);

use Apron\Climate\HourlyYear;
use Apron\Climate\WallSun;
use Apron\Material\Face;
use Apron\Transient\MouldClass;
use Apron\Transient\MouldIndex;

it('takes as long to a mould index of 1 as the formula for pine has it', function (float $celsius, float $humidity, float $days) {
    // Hukka and Viitanen 1999, k1 = k2 = 1, W = SQ = 0 (from memory); k2 is all but 1 until then.
    $mould = new MouldIndex(MouldClass::VerySensitive);
    for ($hours = 0; $mould->index < 1; $hours++) {
        $mould->during(1, $celsius, $humidity);
    }
    expect($hours / 24)->toEqualWithDelta($days, 0.7);
})->with([[22, 97, 9.7], [22, 90, 27.6], [22, 85, 61.0], [10, 90, 47.1], [5, 95, 35.6]]);

it('knows the humidity above which mould grows', function () {
    expect(MouldIndex::critical(10, 80))->toEqualWithDelta(82.0, 0.1)
        ->and(MouldIndex::critical(5, 80))->toEqualWithDelta(88.0, 0.1)
        ->and(MouldIndex::critical(25, 80))->toBe(80.0)
        ->and(MouldIndex::critical(25, 85))->toBe(85.0);
});

it('never passes what its class comes to, declines as it rests, and grows in no frost', function (string $class, float $most) {
    $mould = new MouldIndex(MouldClass::from($class));
    $mould->during(24 * 3000, -1, 100);
    expect($mould->index)->toBe(0.0);
    for ($day = 0; $day < 3000; $day++) {
        $mould->during(24, 22, 100);
    }
    // A + B − C of its class, at saturation.
    expect($mould->index)->toBeLessThanOrEqual($most + 1e-9)->toBeGreaterThan(0.8 * $most);
    $before = $mould->index;
    for ($hour = 0; $hour < 720; $hour++) {
        $mould->during(1, 22, 50);
    }
    expect($mould->index)->toBeLessThan($before)->and($mould->most)->toBe($before);
})->with([['very-sensitive', 6.0], ['sensitive', 5.3], ['medium-resistant', 3.5], ['resistant', 2.0]]);

it('takes what is of no family and stores water for food, and a film of no family for none', function () {
    $own = fn (array $more): array => $more + [
        'id' => 'own', 'name' => 'Own', 'conductivity_w_mk' => 0.1, 'vapour_resistance_factor' => 20,
    ];
    $class = function (array $material): MouldClass {
        $project = readProject([
            'format' => 'apron-project/1',
            'project' => ['name' => 'M', 'units' => 'si'],
            'materials' => [$material],
        ]);

        return MouldClass::of($project->materials->find('own') ?? throw new LogicException('gone'), Face::Inner);
    };
    $stores = ['sorption_curve' => [
        ['rh_pct' => 80, 'water_kg_m3' => 30],
        ['rh_pct' => 100, 'water_kg_m3' => 60],
    ]];
    expect($class($own([])))->toBe(MouldClass::Resistant)
        ->and($class($own($stores)))->toBe(MouldClass::Sensitive)
        ->and($class($own($stores + ['family' => 'brick'])))->toBe(MouldClass::MediumResistant)
        ->and($class($own(['family' => 'lumber'])))->toBe(MouldClass::VerySensitive);
});

it('puts no more sun on the faces of a box than comes', function () {
    $sum = [];
    foreach ([0, 90, 180, 270] as $facing) {
        $face = new WallSun($facing, 45, 0.2);
        $sum[$facing] = 0.0;
        for ($h = 0; $h < HourlyYear::HOURS; $h++) {
            $sum[$facing] += $face->on($h, max(0.0, 500 * cos(2 * M_PI * (($h % 24) + 0.5 - 12) / 24)));
        }
    }
    // North least, south most, east as west: the year is as long before noon as after it.
    expect($sum[180])->toBeGreaterThan($sum[90])->and($sum[90])->toBeGreaterThan($sum[0])
        ->and($sum[90])->toEqualWithDelta($sum[270], 0.001 * $sum[90]);
});

it('drives no more rain onto all facings than passes by, and none onto a wall that looks away', function () {
    // ISO 15927-3: a plane that turns with the wind meets all of it; two at right angles never more than √2 of that.
    $file = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/database/demo/project.json'));
    $project = Apron\Project\ProjectFormat::parse((string) json_encode($file), new Apron\Material\Catalogue);
    [$climate, $indoors] = [$project->brief->climate, $project->brief->indoors];
    expect($climate)->not->toBeNull()->and($indoors)->not->toBeNull();
    $of = fn (float $facing): Apron\Transient\Weather => new Apron\Transient\Weather(
        $project->assemblies[0],
        $climate,
        $indoors,
        $facing,
    );
    $share = Apron\Assembly\RainLoad::share($project->assemblies[0]->exposure ?? new Apron\Assembly\Exposure);
    $faces = array_map($of, [0.0, 90.0, 180.0, 270.0]);
    $passing = 0.0;
    foreach ($faces[0]->hours as $h => $hour) {
        $all = $share * (2 / 9) * (float) $hour->wind * (float) $hour->rain ** (8 / 9);
        $passing += $all;
        $struck = array_sum(array_map(fn ($face): float => $face->rain[$h], $faces));
        expect($struck)->toBeLessThanOrEqual(M_SQRT2 * $all + 1e-9);
        foreach ($faces as $n => $face) {
            // Behind the wall, or along it.
            if ($face->rain[$h] > 1e-9) {
                expect(cos(deg2rad((float) $hour->windFrom - 90 * $n)))->toBeGreaterThan(0);
            }
        }
    }
    expect($passing)->toBeGreaterThan(10);
});
