<?php

declare(strict_types=1);

use Apron\Assembly\ThermalResistance;
use Apron\Project\Assessment;

require_once __DIR__.'/Boxes.php';

it('counts what the envelope loses by its parts and its joints, as by hand', function () {
    $file = boxFile(
        [
            'connections' => [
                carrying('outside-corner', ['heat' => ['by' => 'continuous']]),
                carrying('parapet'),
                carrying('wall-to-slab', ['heat' => ['by' => 'none']]),
            ],
            'placed' => [
                ['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 900, 'u_w_m2k' => 0.9],
                ['opening' => 'o2', 'block' => 'hall', 'edge' => 1, 'x_mm' => 2000, 'z_mm' => 900],
            ],
        ],
        [],
        ['openings' => [windowRow('o1'), windowRow('o2')]],
    );
    $assessment = new Assessment(readProject($file));
    $u = [];
    foreach ($assessment->project->assemblies as $assembly) {
        $u[$assembly->id] = (new ThermalResistance($assembly))->u();
    }
    $heat = $assessment->building->losses;
    // Walls 120 m² less two windows of 1.08; roof and slab 96 each.
    expect($heat->parts['w1'])
        ->toEqualWithDelta($u['w1'] * (120 - 2.16), 1e-9)
        ->and($heat->parts['r1'])
        ->toEqualWithDelta($u['r1'] * 96, 1e-9)
        ->and($heat->parts['openings'])
        // One by its maker, one by the usual 1.6.
        ->toEqualWithDelta(1.08 * 0.9 + 1.08 * 1.6, 1e-9)
        // Continuous 0.05, foamed 0.2, bridged 0.6 W/(m·K).
        ->and($heat->joints['outside-corner'])
        ->toEqualWithDelta(12 * 0.05, 1e-9)
        ->and($heat->joints['parapet'])
        ->toEqualWithDelta(40 * 0.2, 1e-9)
        ->and($heat->joints['wall-to-slab'])
        ->toEqualWithDelta(40 * 0.6, 1e-9)
        // Nobody has said how their heat goes on: thinned, until somebody does.
        ->and($heat->joints['sill'])
        ->toEqualWithDelta(1.8 * 0.2, 1e-9)
        ->and($heat->mean())
        ->toEqualWithDelta($heat->total() / 312, 1e-12)
        ->and($heat->unknown)
        ->toBe(0.0);
    $told = $assessment->building->toArray();
    expect($told['heat']['loss_w_k'])->toEqualWithDelta($heat->total(), 1e-3);
    foreach ($told['joints'] as $joint) {
        $class = ['outside-corner' => 'continuous', 'wall-to-slab' => 'bridged'][$joint['kind']] ?? 'thinned';
        expect($joint['heat_class'])->toBe($class, $joint['id']);
    }
});

it('says how much of the envelope nobody knows the loss of', function () {
    $file = boxFile();
    unset($file['building']['blocks'][0]['slab']);
    $heat = (new Assessment(readProject($file)))->building->losses;
    expect($heat->unknown)->toBe(96.0)->and($heat->parts)->not->toHaveKey('f1');
});
