<?php

declare(strict_types=1);

// A thousand assemblies, no two alike, through heat, profile and the whole year; beside it the same algorithm in plain
// Python.

use Apron\Climate\Air;
use Apron\Json\Node;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;

require __DIR__.'/../vendor/autoload.php';

mt_srand(1000);
$months = array_map(
    fn (int $m): array => ['mean_c' => 5 - 15 * cos((2 * M_PI * $m) / 12), 'rh_pct' => 78],
    range(0, 11),
);
$file = [
    'format' => 'apron-project/1',
    'project' => ['name' => 'b', 'units' => 'si'],
    'climate' => ['name' => 'b', 'months' => $months],
    'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 50],
];
$walls = [];
for ($w = 0; $w < 1000; $w++) {
    $layers = [];
    for ($i = 0, $n = mt_rand(3, 8); $i < $n; $i++) {
        $layers[] = [mt_rand(20, 900) / 1000, 10 ** (mt_rand(0, 350) / 100), mt_rand(5, 160)];
        $file['materials'][] = [
            'id' => "m$w.$i",
            'name' => 'm',
            'conductivity_w_mk' => $layers[$i][0],
            'vapour_resistance_factor' => $layers[$i][1],
        ];
        $file['assemblies'][$w]['layers'][] = ['material' => "m$w.$i", 'thickness_mm' => $layers[$i][2]];
    }
    $file['assemblies'][$w] += ['id' => "w$w", 'name' => 'w', 'kind' => 'wall'];
    $walls[] = $layers;
}
$project = ProjectFormat::read(Node::of($file), new Catalogue);

$assess = function () use ($project): array {
    $answers = [];
    foreach ($project->assemblies as $assembly) {
        $a = new AssemblyAssessment($project->brief, $assembly);
        $residue = 0.0;
        foreach ($a->year->accumulated as $ends) {
            $residue += $ends[11];
        }
        $answers[] = [
            $a->heat->total(),
            $a->profiles[0]->heatFlux,
            1000 * $a->year->most(),
            1000 * $residue,
            $a->surface->factor,
            $a->surface->leastForMould,
        ];
    }

    return $answers;
};
$times = [];
for ($run = 0; $run < 3; $run++) {
    $began = hrtime(true);
    $answers = $assess();
    $times[] = (hrtime(true) - $began) / 1e9;
}
sort($times);

$inside = 0.5 * Air::saturation(20);
$process = proc_open(['python3', __DIR__.'/plain_year.py'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
fwrite(
    $pipes[0],
    json_encode([
        'months' => array_map(
            fn (array $m): array => [20, $inside, $m['mean_c'], 0.78 * Air::saturation($m['mean_c'])],
            $months,
        ),
        'walls' => $walls,
    ]),
);
fclose($pipes[0]);
$plain = json_decode(stream_get_contents($pipes[1]), true);
proc_close($process);

$worst = 0.0;
$wet = 0;
foreach ($plain['walls'] as $w => $row) {
    foreach ($row as $k => $figure) {
        $worst = max($worst, abs($answers[$w][$k] - $figure) / max(1.0, abs($figure)));
    }
    $wet += $row[2] > 0 ? 1 : 0;
}
$jit = opcache_get_status(false)['jit']['on'] ?? false;
printf(
    "JIT %s; median of three runs %.3f s, %.3f ms an assembly; plain Python %.3f s, %.1f times as long; %d of 1000 get wet\n",
    $jit ? 'on' : 'off',
    $times[1],
    $times[1],
    $plain['seconds'],
    $plain['seconds'] / $times[1],
    $wet,
);
printf("greatest difference %.1e of the figure or of 1\n", $worst);
exit($worst < 1e-9 ? 0 : 1);
