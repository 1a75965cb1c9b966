<?php

declare(strict_types=1);

use Apron\Judgement\AssemblyAssessment;

function coldest(array $file)
{
    $project = readProject($file);

    return (new AssemblyAssessment($project->brief, $project->assemblies[0]))->profiles[0];
}

it('condenses inside a homogeneous layer with no interface near', function () {
    // One layer of mineral wool alone in deep cold: the saturation curve bends below the straight line within it.
    $profile = coldest(
        wallFile([[0.04, 1, 200]], -25, 90, ['indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 60]]),
    );
    $planes = $profile->toArray()['condensation'];
    expect($planes)
        ->not->toBe([])
        ->and($planes[0])
        ->toHaveKeys(['layer', 'depth_mm'])
        ->and($planes[0]['depth_mm'])
        ->toBeGreaterThan(0)
        ->toBeLessThan(200);
});

it('never exceeds saturation, nor the uncapped line', function () {
    $profile = coldest(wallFile([[0.04, 1, 140], [0.13, 200, 12], [0.035, 60, 50]], -15));
    foreach ($profile->toArray()['interfaces'] as $interface) {
        expect($interface['vapour_pressure_pa'])
            ->toBeLessThanOrEqual($interface['saturation_pa'] + 1e-9)
            ->toBeLessThanOrEqual($interface['vapour_pressure_uncapped_pa'] + 1e-9);
    }
});

it('starts at saturation on a wet inside surface, and says so', function () {
    $file = wallFile([[2.0, 100, 100]], -20, 80, [
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 70],
    ]);
    $profile = coldest($file);
    $codes = array_column(
        (new Apron\Project\Assessment(readProject($file)))->toArray(
            new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI),
        )['findings'],
        'code',
    );
    expect($profile->pressure[0])
        ->toBe($profile->saturation[0])
        ->and($codes)
        ->toContain('surface.wet')
        ->toContain('surface.mould');
});

it('ends the list at the inner face of a ventilated layer, at outdoor pressure', function () {
    $profile = coldest(wallFile([[0.04, 1, 140], [0.025, 1, 25, ['air' => 'ventilated']], [0.1, 50, 20]]))->toArray();
    expect($profile['interfaces'])
        ->toHaveCount(2)
        ->and($profile['interfaces'][1]['position_mm'])
        ->toBe(140.0)
        ->and($profile['interfaces'][1]['vapour_pressure_pa'])
        ->toEqualWithDelta($profile['outdoor_pa'], 1e-9);
});

it('mirrors when the wall and both airs are turned round', function () {
    $layers = [[0.04, 3, 100], [0.13, 50, 20], [0.25, 10, 12]];
    $surfaces = fn (array $file) => array_replace_recursive($file, [
        'assemblies' => [['rsi_m2k_w' => 0.1, 'rse_m2k_w' => 0.1]],
    ]);
    $there = coldest(
        $surfaces(wallFile($layers, 0, 60, ['indoor' => ['kind' => 'fixed', 'temperature_c' => 15, 'rh_pct' => 50]])),
    );
    $back = coldest(
        $surfaces(
            wallFile(array_reverse($layers), 15, 50, [
                'indoor' => ['kind' => 'fixed', 'temperature_c' => 0, 'rh_pct' => 60],
            ]),
        ),
    );
    foreach ($there->temperatures as $i => $celsius) {
        $mirror = count($there->temperatures) - 1 - $i;
        expect($back->temperatures[$mirror])
            ->toEqualWithDelta($celsius, 1e-9)
            ->and($back->pressure[$mirror])
            ->toEqualWithDelta($there->pressure[$i], 1e-6);
    }
});
