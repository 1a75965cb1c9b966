<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

it('comes to the same figures whether its loops are compiled or not', function () {
    // A compiler of loops has been seen to mix up what it took apart: the first form of the section's faces came to
    // nonsense under it. What the workers run compiled is held against what is not.
    $root = dirname(__DIR__, 2);
    $file = tempnam(sys_get_temp_dir(), 'apron').'.json';
    $demo = json_decode((string) file_get_contents("$root/database/demo/project.json"), true);
    $demo['runs'] = [['id' => 'run1', 'assembly' => 'w2', 'years' => 1, 'leak' => ['share' => 0.02, 'layer' => 'l3']]];
    $demo['plane_sections'] = [[
        'id' => 's',
        'rects' => [
            ['rect' => [0, 0, 800, 100], 'conductivity_w_mk' => 0.035],
            ['rect' => [-300, 20, 100, 60], 'conductivity_w_mk' => 2.0],
        ],
        'airs' => [
            ['rect' => [-400, -50, 800, 0], 'temperature_c' => 20, 'rs_m2k_w' => 0.13, 'inside' => true],
            ['rect' => [-400, 60, 0, 200], 'temperature_c' => 5, 'rs_m2k_w' => 0.1],
            ['rect' => [0, 100, 800, 200], 'temperature_c' => -5, 'rs_m2k_w' => 0.04],
        ],
    ]];
    file_put_contents($file, json_encode($demo));
    $told = function (string $jit) use ($root, $file): array {
        $flags = ['-d', 'opcache.enable_cli=1', '-d', "opcache.jit=$jit", '-d', 'opcache.jit_buffer_size=64M'];
        $check = new Process(['php', ...$flags, "$root/bin/core.php", $file, '--json'], timeout: 300);
        $check->run();
        expect($check->getErrorOutput())->toBe('');

        return json_decode($check->getOutput(), true);
    };
    [$plain, $compiled] = [$told('disable'), $told('tracing')];
    unlink($file);
    expect($plain['plane_sections'][0]['heat_flow_w_m'])->toBeGreaterThan(1)
        ->and($compiled)->toEqualWithDelta($plain, 1e-9);
});
