<?php

declare(strict_types=1);

use Apron\Project\Assessment;

require_once __DIR__.'/Boxes.php';

/** @return array<string, mixed> a wall whose vapour layer lies inside of its insulation, or outside of it */
function sidedWall(string $id, bool $outside): array
{
    $vapour = ['id' => 'v', 'material' => 'membrane-sbs', 'thickness_mm' => 1, 'controls' => ['vapour']];
    $heat = ['id' => 'h', 'material' => 'xps', 'thickness_mm' => 100, 'controls' => ['heat']];
    $plane = ['id' => 'w', 'material' => 'polyolefin-wrap', 'thickness_mm' => 0.2, 'controls' => ['water', 'air']];

    return [
        'id' => $id,
        'name' => $id,
        'kind' => 'wall',
        'layers' => $outside ? [$plane, $heat, $vapour] : [$plane, $vapour, $heat],
    ];
}

/** @return array<string, mixed> what is told of a box whose south side is of another wall than the rest */
function sidedBox(bool $outside): array
{
    $file = boxFile([], ['wall' => 'in', 'walls' => (object) ['0' => 'other'], 'roof' => 'in', 'slab' => 'in']);
    $file['assemblies'] = [sidedWall('in', false), sidedWall('other', $outside)];
    $assessed = new Assessment(readProject($file));

    return ['building' => $assessed->building->toArray(), 'codes' => array_column($assessed->findings, 'code')];
}

it('tells where the vapour layer would have to cross the insulation, once for two assemblies', function () {
    $told = sidedBox(true);
    // Two corners of 3 m, and 12 m along the roof and the slab.
    expect($told['building']['vapour_sides'])
        ->toHaveCount(1)
        ->and($told['building']['vapour_sides'][0])
        ->toMatchArray(['between' => ['in', 'other'], 'length_m' => 30.0])
        ->and(array_count_values($told['codes'])['building.vapour-side'])
        ->toBe(1);
});

it('says nothing where both lie on one side', function () {
    $told = sidedBox(false);
    expect($told['building']['vapour_sides'])->toBe([])->and($told['codes'])->not->toContain('building.vapour-side');
});

it('bears a gap in the vapour layer as long as is stated, and fails a longer one', function () {
    $severity = function (?float $gap): string {
        $file = boxFile(
            [
                'connections' => [
                    ['joint' => ['kind' => 'outside-corner'], 'threads' => ['vapour' => ['by' => 'none']]],
                ],
            ] + ($gap === null ? [] : ['vapour_gap_mm' => $gap]),
        );
        $found = array_values(array_filter(
            (new Assessment(readProject($file)))->findings,
            fn ($f): bool => $f->code === 'building.thread-broken' && $f->figures['control'] === 'vapour',
        ));

        return $found === [] ? 'none' : $found[0]->severity->value;
    };
    // Corners of 3 m: more than a foot, and no more than three metres.
    expect($severity(null))
        ->toBe('fail')
        ->and($severity(3000.0))
        ->toBe('caution')
        ->and($severity(2999.0))
        ->toBe('fail');
});

it('draws what is level with what stands on it, as large as the parts', function () {
    $of = fn (string $id, array $outline, float $base, float $top): array => [
        'id' => $id,
        'outline' => $outline,
        'base_mm' => $base,
        'top_mm' => $top,
    ];
    $file = boxFile(['blocks' => [
        $of('low', [[0, 0], [12000, 0], [12000, 8000], [0, 8000]], 0, 3000),
        $of('up', [[0, 0], [6000, 0], [6000, 8000], [0, 8000]], 3000, 6000),
    ]]);
    $told = builtOf($file);
    $flats = array_column($told['flats'], null, 'part');
    expect(array_keys($flats))
        ->toBe(['low.roof', 'low.slab', 'up.roof'])
        ->and($flats['low.roof']['covered_mm'])
        ->toBe([[[0.0, 0.0], [6000.0, 0.0], [6000.0, 8000.0], [0.0, 8000.0]]])
        ->and($flats['up.roof']['covered_mm'])
        ->toBe([]);
    $area = fn (array $corners): float => abs(Apron\Building\Outline::signed($corners)) / 1e6;
    foreach ($told['flats'] as $flat) {
        $left = $area($flat['corners_mm']) - array_sum(array_map($area, $flat['covered_mm']));
        expect($left)->toEqualWithDelta(array_column($told['parts'], 'gross_m2', 'id')[$flat['part']], 1e-6);
    }
});
