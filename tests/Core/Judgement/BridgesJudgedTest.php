<?php

declare(strict_types=1);

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule\HumidFaces;

/** R-13 of glass wool between steel studs of 92 mm at 406 mm, and so much XPS outside. */
function studWall(float $xpsMm, float $rse = 0.13): AssemblyAssessment
{
    $stud = ['material' => 'steel-galvanised', 'fraction' => 0.0027, 'spacing_mm' => 406];
    $stud += ['gauge_mm' => 1.1, 'flange_mm' => 41];
    $file = wallFile([[0.25, 10, 12.7]]);
    $file['assemblies'][0]['rse_m2k_w'] = $rse;
    $file['assemblies'][0]['layers'] = [
        ['material' => 'gypsum-board', 'thickness_mm' => 12.7],
        ['material' => 'glass-wool-batt', 'thickness_mm' => 92, 'framing' => $stud],
        ['material' => 'glass-mat-gypsum', 'thickness_mm' => 12.7],
        ...($xpsMm > 0 ? [['material' => 'xps', 'thickness_mm' => $xpsMm]] : []),
    ];
    $project = readProject($file);

    return new AssemblyAssessment($project->brief, $project->assemblies[0]);
}

it('finds the inside surface at a steel stud as two-dimensional conduction has it, to a few hundredths and below it', function (
    float $xpsMm,
    float $least,
    float $most,
) {
    // Two-dimensional conduction over a grid, Rsi 0.25, by a reviewer of this program: 0.62 to 0.66 bare, 0.88 behind
    // 76 mm of XPS, where the mean of the wall has 0.84 and more.
    $surface = studWall($xpsMm)->surface;
    expect($surface->atBridge)
        ->toBeBetween($least, $most)
        ->and($surface->factor)
        ->toBeGreaterThan($surface->atBridge);
})->with(['bare' => [0, 0.62 - 0.04, 0.66 + 0.005], 'behind 76 mm of XPS' => [76, 0.88 - 0.04, 0.88 + 0.005]]);

it('passes no inside surface by the mean of a wall whose studs are colder', function () {
    $codes = array_map(fn ($f): string => $f->code, studWall(0)->findings());
    expect($codes)->not->toContain('surface.no-mould');
    $warm = array_map(fn ($f): string => $f->code, studWall(120)->findings());
    expect($warm)->toContain('surface.no-mould-at-bridge');
});

it('reckons girts by the ψ that was found for them in two dimensions, and tells what they take', function (
    float $psi,
    bool $filled,
    string $code,
) {
    // The same reviewer's grid: 0.106 W/(m·K) through 100 mm of wool over an empty stud cavity, 0.058 over a filled
    // one.
    $file = wallFile([[0.25, 10, 12.7]]);
    $girts = ['name' => 'girts', 'psi_w_mk' => $psi, 'm_per_m2' => 2.46];
    $file['assemblies'][0]['layers'] = [
        ['material' => 'gypsum-board', 'thickness_mm' => 12.7],
        ['material' => $filled ? 'glass-wool-batt' : 'air-layer', 'thickness_mm' => 152],
        ['material' => 'glass-mat-gypsum', 'thickness_mm' => 12.7],
        ['material' => 'mineral-wool-board', 'thickness_mm' => 100, 'bridges' => [$girts]],
    ];
    $project = readProject($file);
    $assessed = new AssemblyAssessment($project->brief, $project->assemblies[0]);
    expect($assessed->heat->overallU() - $assessed->heat->u())
        ->toEqualWithDelta($psi * 2.46, 1e-9)
        ->and(array_map(fn ($f): string => $f->code, $assessed->findings()))
        ->toContain($code);
})->with([[0.106, false, 'heat.bridges-take-most'], [0.058, true, 'heat.bridges-take-most']]);

it('has the limit of mould by temperature (Hukka and Viitanen 1999, sensitive classes, from memory)', function (
    float $celsius,
    float $limit,
) {
    expect(HumidFaces::limit($celsius))->toEqualWithDelta($limit, 0.35);
})->with([[25.0, 80.0], [20.0, 80.0], [10.0, 82.0], [5.0, 88.0], [0.5, 98.5]]);

it('has no limit of mould in frost', function () {
    expect(HumidFaces::limit(0.0))->toBeGreaterThan(100.0)->and(HumidFaces::limit(-10.0))->toBeGreaterThan(100.0);
});
