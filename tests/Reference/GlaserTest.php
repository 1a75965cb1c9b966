<?php

declare(strict_types=1);

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;

it('condenses at one plane by the closed form: δ₀ ((pi − p′)/sd₁ − (p′ − pe)/sd₂), a month of it 31 days', function () {
    // Thin, so that no slice falls inside a layer: wool R 0.25 at most would be too little; the plane is held by a
    // tight, thin outer layer.
    $project = readProject(wallFile([[1.0, 2, 200], [2.0, 400, 10]], -10, 80));
    $assessed = new AssemblyAssessment($project->brief, $project->assemblies[0]);
    $total = 0.13 + 0.2 + 0.005 + 0.04;
    $between = 20 - (30 * 0.33) / $total;
    [$pi, $p, $pe] = [0.5 * Air::saturation(20), Air::saturation($between), 0.8 * Air::saturation(-10)];
    // The room's air is wetter than the surface can bear in such a wall, so the string starts at saturation there.
    $pi = min($pi, Air::saturation(20 - (30 * 0.13) / $total));
    $rate = 2e-10 * (($pi - $p) / 0.4 - ($p - $pe) / 4.0);
    $plane = $assessed->profiles[0]->toArray()['condensation'][0];
    expect($plane['interface'])
        ->toBe(1)
        ->and($plane['rate_g_m2_h'])
        ->toEqualWithDelta($rate * 3.6e6, 1e-9)
        ->and($assessed->year->toArray()['planes'][0]['months'][0]['condensation_g_m2'])
        ->toEqualWithDelta($rate * 31 * 86400 * 1000, 1e-6);
});

it('dries at one plane by the closed form, and stops where it runs out', function () {
    // Condenses in January only; from February it dries at δ₀ ((p′ − pi)/sd₁ + (p′ − pe)/sd₂) until nothing is left.
    $months = array_fill(0, 12, ['mean_c' => 10, 'rh_pct' => 70]);
    $months[0] = ['mean_c' => -15, 'rh_pct' => 80];
    $project = readProject(
        wallFile(
            [[1.0, 2, 200], [2.0, 400, 10]],
            more: [
                'climate' => ['name' => 'one cold month', 'months' => $months],
                'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 30],
            ],
        ),
    );
    $year = (new AssemblyAssessment($project->brief, $project->assemblies[0]))->year;
    $total = 0.375;
    $flow = function (float $outdoors, float $humidity) use ($total): float {
        $p = Air::saturation(20 - ((20 - $outdoors) * 0.33) / $total);
        $pi = min(0.3 * Air::saturation(20), Air::saturation(20 - ((20 - $outdoors) * 0.13) / $total));

        return 2e-10 * (($pi - $p) / 0.4 - ($p - $humidity * Air::saturation($outdoors)) / 4.0) * 86400 * 1000;
    };
    $plane = $year->toArray()['planes'][0];
    $gathered = $flow(-15, 0.8) * 31;
    $dried = $flow(10, 0.7) * 28;
    expect($plane['months'][0]['month'])
        ->toBe(1)
        ->and($plane['peak_g_m2'])
        ->toEqualWithDelta($gathered, 1e-6)
        ->and($plane['months'][1]['accumulated_g_m2'])
        ->toEqualWithDelta(max(0, $gathered + $dried), 1e-6)
        ->and($plane['residue_g_m2'])
        ->toBe(0.0)
        ->and($year->verdict()->value)
        ->toBe('dries');
});
