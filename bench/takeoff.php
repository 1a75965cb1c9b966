<?php

declare(strict_types=1);

// Buildings of many walls and openings laid out and taken off. Beside it, so that machines can be told apart, as many
// lengths packed by the same rule in a loop that does nothing else.

use Apron\Crew\Packing;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\TakeoffSection;

require __DIR__.'/../vendor/autoload.php';

/** @return array<string, mixed> so many walls of 20 × 9 m with so many openings in all */
function takeoffFile(int $walls, int $openings): array
{
    $blocks = $placed = [];
    for ($b = 0; $b < $walls / 4; $b++) {
        $x = 30000 * $b;
        $blocks[] = [
            'id' => "b$b",
            'outline' => [[$x, 0], [$x + 20000, 0], [$x + 20000, 20000], [$x, 20000]],
            'base_mm' => 0,
            'top_mm' => 9000,
            'wall' => 'w1',
            'roof' => 'r1',
            'slab' => 'f1',
        ];
    }
    for ($i = 0; $i < $openings; $i++) {
        [$wall, $n] = [$i % $walls, intdiv($i, $walls)];
        $placed[] = [
            'opening' => 'o'.($i % 3),
            'block' => 'b'.intdiv($wall, 4),
            'edge' => $wall % 4,
            'x_mm' => 1500 + 3600 * ($n % 5),
            'z_mm' => 900 + 3000 * intdiv($n, 5),
        ];
    }
    $layers = [
        ['id' => 'l1', 'material' => 'gypsum-board', 'thickness_mm' => 12.7],
        ['id' => 'l2', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140, 'framing' => [
            'material' => 'lumber', 'fraction' => 0.15, 'spacing_mm' => 400,
        ]],
        ['id' => 'l3', 'material' => 'osb', 'thickness_mm' => 11],
        ['id' => 'l4', 'material' => 'polyolefin-wrap', 'thickness_mm' => 0.2, 'controls' => ['water', 'air']],
        ['id' => 'l5', 'material' => 'xps', 'thickness_mm' => 50],
        ['id' => 'l6', 'material' => 'xps', 'thickness_mm' => 50],
        ['id' => 'l7', 'material' => 'air-layer', 'thickness_mm' => 19, 'air' => 'ventilated'],
        ['id' => 'l8', 'material' => 'fibre-cement-lap', 'thickness_mm' => 8],
    ];
    $opening = fn (int $i): array => [
        'id' => "o$i",
        'title' => "O$i",
        'generator' => 'strapped-unit-in-fastened-sheet',
        'parameters' => ['width_mm' => 900 + 300 * $i, 'height_mm' => 1200, 'depth_mm' => 150],
    ];

    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'B', 'units' => 'si'],
        'assemblies' => [
            ['id' => 'w1', 'name' => 'W', 'kind' => 'wall', 'layers' => $layers],
            ['id' => 'r1', 'name' => 'R', 'kind' => 'roof', 'layers' => [$layers[2]]],
            ['id' => 'f1', 'name' => 'F', 'kind' => 'floor', 'layers' => [$layers[2]]],
        ],
        'openings' => [$opening(0), $opening(1), $opening(2)],
        'building' => ['blocks' => $blocks, 'placed' => $placed],
    ];
}

printf("%-52s %8s\n", 'ms', 'median');
foreach ([[8, 60], [20, 160], [60, 500], [120, 1000]] as [$walls, $openings]) {
    $json = json_encode(takeoffFile($walls, $openings), JSON_THROW_ON_ERROR);
    $project = ProjectFormat::parse($json, new Catalogue);
    $times = [];
    for ($k = 0; $k < 3; $k++) {
        $began = hrtime(true);
        $assessed = TakeoffSection::assess($project);
        $figures = $assessed === null ? [] : TakeoffSection::figures($assessed);
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);
    $pieces = array_sum(array_map(fn (array $l): int => count($l['pieces']), $figures['layouts']));
    printf("%-52s %8.0f\n", "$walls walls, $openings openings: $pieces sheets and boards", $times[1]);
    foreach ($figures['quantities'] as $row) {
        if (isset($row['why']->least)) {
            ['unit' => $unit, 'count' => $count] = $row['order'];
            printf("    %-30s %5d %s, no fewer than %d\n", $row['material'], $count, $unit, $row['why']->least);
        }
    }
}
mt_srand(1);
$lengths = array_map(fn (): float => mt_rand(300, 20000) / 1.0, range(1, 4000));
$began = hrtime(true);
$rolls = max(Packing::firstFit($lengths, 22860.0));
printf("%-52s %8.0f\n", "4,000 lengths on $rolls rolls", (hrtime(true) - $began) / 1e6);
