<?php

declare(strict_types=1);

require_once __DIR__.'/Boxes.php';

/** @return array<string, mixed> an assembly that drains as a case says */
function drainingWall(string $id, array $said): array
{
    $outside = match ($said['way']) {
        'gap' => [['id' => 'g', 'material' => 'air-layer', 'thickness_mm' => 20, 'air' => 'ventilated']],
        'level' => [
            [
                'id' => 'g',
                'material' => 'air-layer',
                'thickness_mm' => 20,
                'air' => 'ventilated',
                'framing' => ['material' => 'lumber', 'fraction' => 0.1, 'spacing_mm' => 600, 'runs' => 'level'],
            ],
        ],
        'solid' => [],
    };
    $ends = array_intersect_key($said, ['base' => 1, 'heads' => 1]);

    return [
        'id' => $id,
        'name' => $id,
        'kind' => 'wall',
        'layers' => [
            ...carryingAssemblies()[0]['layers'],
            ...$outside,
            ['id' => 'c', 'material' => 'fibre-cement-panel', 'thickness_mm' => 8],
        ],
    ] + ($ends === [] ? [] : ['drainage' => $ends]);
}

/** @return array<string, mixed> the upper wall's face of a case, and the findings of the building */
function drainedUpper(array $case): array
{
    $outline = [[0, 0], [6000, 0], [6000, 4000], [0, 4000]];
    $block = fn (string $id, int $base, string $wall): array => [
        'id' => $id,
        'outline' => $outline,
        'base_mm' => $base,
        'top_mm' => $base + 3000,
        'wall' => $wall,
        'roof' => 'r1',
        'slab' => 'f1',
    ];
    $up = $case['down'] === null ? [$block('up', 0, 'up')] : [$block('down', 0, 'down'), $block('up', 3000, 'up')];
    $placed = isset($case['opening'])
        ? ['placed' => [['opening' => 'o1', 'block' => 'up', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 900]]]
        : [];
    $file = [
        'format' => 'apron-project/1',
        'project' => ['name' => 'B', 'units' => 'si'],
        'assemblies' => [
            ...carryingAssemblies(),
            drainingWall('up', $case['up']),
            ...$case['down'] === null ? [] : [drainingWall('down', $case['down'])],
        ],
        'openings' => isset($case['opening']) ? [windowRow('o1')] : [],
        'building' => ['blocks' => $up] + $placed,
    ];
    $built = new Apron\Project\Assessment(readProject($file));

    return [
        array_column($built->building->toArray()['drained'], null, 'part')['up.wall.0'],
        array_values(array_filter($built->building->findings(), fn ($f): bool => $f->code === 'building.onto-solid')),
    ];
}

it('follows what runs behind a cladding to where it comes out', function (array $case) {
    [$face, $findings] = drainedUpper($case);
    expect([$face['out'], $face['why']])->toBe([$case['out'], $case['why']], $case['because'])
        ->and($face['onto'])
        ->toBe($case['why'] === 'goes-on' ? 'down.wall.0' : null)
        ->and(count($findings) > 0)
        ->toBe($case['why'] === 'onto-solid')
        ->and($face['over'])
        ->toBe(isset($case['opening']) ? ['up.opening.o1'] : [])
        ->and($face['from'])
        ->toBe('parapet');
})->with(function (): array {
    $cases = json_decode((string) file_get_contents(__DIR__.'/drained.json'), true)['cases'];

    return array_combine(array_column($cases, 'id'), array_map(fn (array $case): array => [$case], $cases));
});
