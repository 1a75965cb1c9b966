<?php

declare(strict_types=1);

use Apron\Judgement\AssemblyAssessment;
use Apron\Vapour\TautString;

/** The year of a wall in a cosine climate, with the indoor humidity given. */
function yearOf(array $layers, float $humidity, float $mean = 5, float $swing = 15)
{
    $months = array_map(
        fn (int $m) => ['mean_c' => $mean - $swing * cos((2 * M_PI * $m) / 12), 'rh_pct' => 78],
        range(0, 11),
    );
    $project = readProject(
        wallFile(
            $layers,
            more: [
                'climate' => ['name' => 'cosine', 'months' => $months],
                'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => $humidity],
            ],
        ),
    );

    return (new AssemblyAssessment($project->brief, $project->assemblies[0]))->year;
}

function randomLayers(): array
{
    return array_map(
        fn () => [mt_rand(20, 500) / 1000, 10 ** (mt_rand(0, 400) / 100), mt_rand(5, 150)],
        range(1, mt_rand(2, 6)),
    );
}

it('keeps the string below saturation, convex, and touching only where it must', function (int $seed) {
    mt_srand($seed);
    $sd = $saturation = [];
    for ($i = 0, $x = 0.0; $i < 25; $i++) {
        $sd[] = $x += mt_rand(1, 100) / 50;
        $saturation[] = (float) mt_rand(200, 3000);
    }
    [$from, $to] = [min(1500.0, $saturation[0]), min(400.0, $saturation[24])];
    $touched = TautString::touches($sd, $saturation, 0, 24, $from, $to);
    $at = [];
    foreach ($touched as $node) {
        $at[$node] = $node === 0 ? $from : ($node === 24 ? $to : $saturation[$node]);
    }
    $p = TautString::pressures($sd, $touched, $at);
    foreach ($p as $i => $pressure) {
        expect($pressure)->toBeLessThanOrEqual($saturation[$i] + 1e-9);
    }
    // Independent of how it was found: the greatest convex curve below is, at each node, the least of all chords over
    // it.
    $q = $saturation;
    [$q[0], $q[24]] = [$from, $to];
    for ($i = 0; $i < 25; $i++) {
        $least = $q[$i];
        for ($a = 0; $a < $i; $a++) {
            for ($b = $i + 1; $b < 25; $b++) {
                $least = min($least, $q[$a] + (($q[$b] - $q[$a]) * ($sd[$i] - $sd[$a])) / ($sd[$b] - $sd[$a]));
            }
        }
        expect($p[$i])->toEqualWithDelta($least, 1e-9);
    }
})->with(range(1, 12));

it('conserves water: every month’s change adds up to what is left, and nothing goes below zero', function (
    int $seed,
) {
    mt_srand($seed);
    $year = yearOf(randomLayers(), mt_rand(30, 75));
    foreach ($year->toArray()['planes'] as $plane) {
        expect(array_sum(array_column($plane['months'], 'condensation_g_m2')))
            ->toEqualWithDelta($plane['residue_g_m2'], 1e-9 * max(1, $plane['peak_g_m2']))
            ->and(min(array_column($plane['months'], 'accumulated_g_m2')))
            ->toBeGreaterThanOrEqual(0.0)
            ->and($plane['peak_g_m2'])
            ->toBe(max(array_column($plane['months'], 'accumulated_g_m2')));
    }
    expect($year->verdict()->value)->toBeIn(['dry', 'dries', 'accumulates']);
})->with(range(1, 25));

it('starts in a month that condenses after one that does not, across the turn of the year', function () {
    $year = yearOf([[0.2, 5, 12], [0.04, 1, 140], [0.13, 60, 12]], 45);
    $months = $year->toArray()['planes'][0]['months'];
    expect($months)
        ->toHaveCount(12)
        ->and($months[0]['month'])
        ->toBeGreaterThanOrEqual(9)
        ->and($months[0]['condensation_g_m2'])
        ->toBeGreaterThan(0)
        ->and($months[11]['month'])
        ->toBe($months[0]['month'] - 1)
        ->and($year->verdict()->value)
        ->toBe('dries');
});

it('is dry behind a tight inner layer, and accumulates behind a tight outer one in an even cold', function () {
    expect(
        yearOf([[0.25, 10, 12.5], [0.2, 100000, 0.5], [0.04, 1, 140], [0.13, 20, 12]], 40)->verdict()->value,
    )->toBe('dry');
    $project = readProject(wallFile([[0.04, 1, 140], [0.13, 5000, 12]]));
    $year = (new AssemblyAssessment($project->brief, $project->assemblies[0]))->year;
    expect($year->startingMonth)->toBe(0)->and($year->verdict()->value)->toBe('accumulates');
});

it('changes nothing when a layer is split where a slice ends', function (int $seed) {
    mt_srand($seed);
    $before = randomLayers();
    // 150 mm of λ 0.05 is R 3, twelve slices: a cut at a third lies between two of them.
    $whole = yearOf([...$before, [0.05, 3, 150], [0.13, 120, 12]], 55)->toArray();
    $split = yearOf([...$before, [0.05, 3, 50], [0.05, 3, 100], [0.13, 120, 12]], 55)->toArray();
    $residues = fn (array $year) => [
        $year['verdict'],
        array_sum(array_column($year['planes'], 'residue_g_m2')),
        array_sum(array_column($year['planes'], 'peak_g_m2')),
    ];
    [$a, $b] = [$residues($whole), $residues($split)];
    expect($b[0])
        ->toBe($a[0])
        ->and($b[1])
        ->toEqualWithDelta($a[1], 1e-6 * max(1, $a[1]))
        ->and($b[2])
        ->toEqualWithDelta($a[2], 1e-6 * max(1, $a[2]));
})->with(range(1, 10));
