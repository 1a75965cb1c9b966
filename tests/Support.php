<?php

declare(strict_types=1);

use Apron\Assembly\Assembly;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Project\Project;
use Apron\Project\ProjectFormat;

/** The demo's project file as an array. */
function demoFile(): array
{
    return json_decode(file_get_contents(__DIR__.'/../database/demo/project.json'), true);
}

/**
 * Sizes that a method can dress: these, held to what it takes.
 *
 * @return array<string, float>
 */
function usualSizes(string $generator, float $height = 1200.0): array
{
    $usual = [
        'width_mm' => 900.0,
        'height_mm' => $height,
        'depth_mm' => 140.0,
        'length_mm' => 2000.0,
        'diameter_mm' => 400.0,
        'shank_mm' => 5.0,
    ];
    $sizes = array_filter(
        Apron\Method\Methods::named($generator)->parameters(),
        fn (array $p) => $p['kind'] === 'size',
    );

    return array_map(fn (array $p) => min($usual[$p['name']], $p['most']), array_column($sizes, null, 'name'));
}

function readProject(array $file): Project
{
    return ProjectFormat::read(Node::of($file), new Catalogue);
}

/**
 * A project of one wall, its layers as [λ, μ, mm] inside to outside, in twelve equal months.
 *
 * @param  list<array{0: float, 1: float, 2: float, 3?: array<string, mixed>}>  $layers
 */
function wallFile(array $layers, float $outdoors = -10, float $outdoorHumidity = 80, array $more = []): array
{
    $materials = $rows = [];
    foreach ($layers as $i => $layer) {
        $materials[] = [
            'id' => "m$i",
            'name' => "m$i",
            'conductivity_w_mk' => $layer[0],
            'vapour_resistance_factor' => $layer[1],
        ];
        $rows[] = ['id' => "l$i", 'material' => "m$i", 'thickness_mm' => $layer[2]] + ($layer[3] ?? []);
    }

    return array_replace(
        [
            'format' => 'apron-project/1',
            'project' => ['name' => 'case', 'units' => 'si'],
            'climate' => [
                'name' => 'even',
                'months' => array_fill(0, 12, ['mean_c' => $outdoors, 'rh_pct' => $outdoorHumidity]),
            ],
            'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 50],
            'materials' => $materials,
            'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => $rows]],
        ],
        $more,
    );
}

/** @param  list<array{0: float, 1: float, 2: float, 3?: array<string, mixed>}>  $layers */
function wall(array $layers): Assembly
{
    return readProject(wallFile($layers))->assemblies[0];
}

/** Runs `./apron check` as its users do. @return array{code: int, out: string, err: string} */
function apronCheck(string $json, bool $asJson = true): array
{
    $process = proc_open(
        [PHP_BINARY, __DIR__.'/../bin/core.php', '-', ...$asJson ? ['--json'] : []],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
    );
    fwrite($pipes[0], $json);
    fclose($pipes[0]);
    $out = stream_get_contents($pipes[1]);
    $err = stream_get_contents($pipes[2]);

    return ['code' => proc_close($process), 'out' => $out, 'err' => $err];
}
