<?php

declare(strict_types=1);

use Apron\Json\CoreData;
use Apron\Material\Catalogue;

// What forms begin with is data of the core, and has to be what the core takes.
$starts = json_decode((string) file_get_contents(CoreData::path('starts.json')), true);

it('begins a wall and every bridge as something that can be read', function () use ($starts) {
    $wall = ['id' => 'w', 'name' => 'w'] + $starts['wall'];
    foreach ($starts['bridges'] as $bridge) {
        $wall['layers'][1]['bridges'][] = $bridge + ['source' => $starts['bridge_source']];
    }
    $wall['indoor'] = $starts['own_indoor_air'];
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'x', 'units' => 'si'],
        'assemblies' => [$wall],
    ]);
    expect($project->assemblies[0]->layers[1]->bridges)->toHaveCount(10);
});

it('begins every kind of piece with a material of the catalogue, and offers zones that can be read', function () use (
    $starts,
) {
    foreach ($starts['materials'] as $kind => $material) {
        expect((new Catalogue)->find($material))->not->toBeNull("$kind: $material");
    }
    $months = array_fill(0, 12, ['mean_c' => 10, 'rh_pct' => 70]);
    foreach ($starts['zones'] as $zone) {
        $climate = ['name' => 'c', 'zone' => $zone, 'months' => $months];
        $file = ['format' => 'apron-project/1', 'project' => ['name' => 'x', 'units' => 'si'], 'climate' => $climate];
        expect(readProject($file)->brief->climate?->zone)->toBe($zone);
    }
});
