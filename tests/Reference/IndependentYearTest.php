<?php

declare(strict_types=1);

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;

/** Five hundred walls of one to six layers in climates from mild to harsh; every seventh with the cold in July. */
function randomWalls(int $count): array
{
    mt_srand(500);
    $files = [];
    for ($w = 0; $w < $count; $w++) {
        $layers = array_map(
            fn () => [mt_rand(20, 900) / 1000, 10 ** (mt_rand(0, 350) / 100), mt_rand(5, 160)],
            range(1, mt_rand(1, 6)),
        );
        [$mean, $swing, $shift] = [mt_rand(-8, 24), mt_rand(2, 18), $w % 7 === 0 ? M_PI : 0.0];
        $months = array_map(
            fn (int $m) => [
                'mean_c' => $mean - $swing * cos((2 * M_PI * $m) / 12 + $shift),
                'rh_pct' => mt_rand(55, 95),
            ],
            range(0, 11),
        );
        $files[] = wallFile(
            $layers,
            more: [
                'climate' => ['name' => 'random', 'months' => $months],
                'indoor' => ['kind' => 'fixed', 'temperature_c' => mt_rand(18, 25), 'rh_pct' => mt_rand(25, 80)],
            ],
        );
    }

    return $files;
}

it('agrees with another method in another language on 500 random walls to 1e-6', function () {
    $years = $asked = [];
    foreach (randomWalls(500) as $file) {
        $project = readProject($file);
        $assembly = $project->assemblies[0];
        $assessed = new AssemblyAssessment($project->brief, $assembly);
        $years[] = $assessed->year;
        $asked[] = [
            'rsi' => 0.13,
            'rse' => 0.04,
            'layers' => array_map(
                fn (array $row, array $m) => [
                    $row['thickness_mm'] / 1000 / $m['conductivity_w_mk'],
                    ($row['thickness_mm'] / 1000) * $m['vapour_resistance_factor'],
                ],
                $file['assemblies'][0]['layers'],
                $file['materials'],
            ),
            'months' => array_map(
                fn (array $m) => [
                    $file['indoor']['temperature_c'],
                    ($file['indoor']['rh_pct'] / 100) * Air::saturation($file['indoor']['temperature_c']),
                    $m['mean_c'],
                    ($m['rh_pct'] / 100) * Air::saturation($m['mean_c']),
                ],
                $file['climate']['months'],
            ),
        ];
    }
    $process = proc_open(
        ['python3', __DIR__.'/../../bench/independent_year.py'],
        [['pipe', 'r'], ['pipe', 'w'], STDERR],
        $pipes,
    );
    fwrite($pipes[0], json_encode($asked));
    fclose($pipes[0]);
    $answers = json_decode(stream_get_contents($pipes[1]), true);
    expect(proc_close($process))->toBe(0);

    $wet = $accumulating = 0;
    foreach ($answers as $w => $answer) {
        $year = $years[$w];
        expect($year->startingMonth === null ? null : $year->startingMonth + 1)->toBe($answer['start'], "wall $w");
        $greatest = max([1.0, ...array_map(max(...), array_values($answer['planes']))]);
        foreach (array_unique([...array_keys($answer['planes']), ...array_keys($year->accumulated)]) as $node) {
            foreach (range(0, 11) as $k) {
                expect(1000 * ($year->accumulated[$node][$k] ?? 0.0))->toEqualWithDelta(
                    $answer['planes'][$node][$k] ?? 0.0,
                    1e-6 * $greatest,
                    "wall $w, node $node, month $k",
                );
            }
        }
        $wet += $answer['start'] !== null ? 1 : 0;
        $accumulating += $year->verdict()->value === 'accumulates' ? 1 : 0;
    }
    // The case must not pass for want of water.
    expect($wet)->toBeGreaterThan(150)->and($accumulating)->toBeGreaterThan(20)->and($accumulating)->toBeLessThan($wet);
});

it(
    'agrees with the same algorithm in plain Python on a thousand walls to 1e-9: R, flux, peak, residue and both temperature factors',
    function () {
        exec(PHP_BINARY.' '.escapeshellarg(__DIR__.'/../../bench/thousand.php'), $lines, $code);
        expect($code)->toBe(0, implode("\n", $lines))->and(implode($lines))->toContain('of 1000 get wet');
    },
);
