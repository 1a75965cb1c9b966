<?php

declare(strict_types=1);

use Apron\Method\Methods;
use Apron\Trace\DetailAssessment;
use Apron\Trace\Outcome;
use Apron\Trace\Seals;

it('says of every seal of every method what is left without it, and never that it is better', function () {
    $rank = fn (string $told): int => Outcome::from($told)->rank();
    $seen = 0;
    foreach (array_keys(Methods::all()) as $name) {
        $project = readProject([
            'format' => 'apron-project/1',
            'project' => ['name' => 'P', 'units' => 'si'],
            'openings' => [['id' => 'o', 'title' => 'O', 'generator' => $name, 'parameters' => usualSizes($name)]],
        ]);
        $detail = array_values($project->details)[0];
        $worst = (new DetailAssessment($detail))->worst()->told();
        foreach (Seals::of($detail) as $seal) {
            $seen++;
            expect($seal['outcome'])
                ->toBe($worst)
                ->and($rank($seal['without']))
                ->toBeGreaterThanOrEqual($rank($seal['outcome']))
                ->and($seal['lines_without'] ?? PHP_INT_MAX)
                ->toBeLessThanOrEqual($seal['lines'] ?? PHP_INT_MAX)
                ->and($seal['length_m'])
                ->toBeGreaterThan(0);
            $seal['wets'] === null || expect(Outcome::from($seal['without'])->harms())->toBeTrue();
        }
    }
    expect($seen)->toBeGreaterThan(20);
});

it('tells of a face that is kept dry by its sealant alone what is wet when that is gone', function () {
    $rect = fn (float $u0, float $v0, float $u1, float $v1): array => [$u0, $v0, $u1, $v1];
    $piece = fn (string $id, string $kind, string $material, int $step, array $rect, string $edge): array => [
        'id' => $id,
        'kind' => $kind,
        'material' => $material,
        'step' => $step,
        'edges' => ['top' => $edge, 'bottom' => 'open', 'left' => 'open', 'right' => 'open'],
        'patches' => [['id' => "$id.0", 'facet' => 'face', 'rect' => $rect]],
    ];
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'details' => [[
            'id' => 'd',
            'title' => 'Strip under a bead',
            'facets' => (object) ['face' => ['u' => [0, 1000], 'v' => [0, 600]]],
            'pieces' => [
                $piece('sheet', 'sheet', 'polyolefin-wrap', 1, $rect(0, 0, 1000, 300), 'open'),
                $piece('upper', 'sheet', 'polyolefin-wrap', 2, $rect(0, 302, 1000, 600), 'open'),
                $piece('bead', 'sealant', 'sealant-silicone', 3, $rect(0, 290, 1000, 312), 'sealed'),
            ],
        ]],
    ]);
    $seals = Seals::of(array_values($project->details)[0]);
    expect($seals)
        ->toHaveCount(1)
        ->and([$seals[0]['seal'], $seals[0]['exposed'], $seals[0]['life_years'], $seals[0]['length_m']])
        ->toBe(['bead', true, 20.0, 1.0])
        ->and(Outcome::from($seals[0]['without'])->harms())
        ->toBeTrue()
        ->and($seals[0]['wets'])
        ->not->toBeNull();
});
