<?php

declare(strict_types=1);

use Apron\Building\ThreadState;
use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Rules\Finding;
use Apron\Rules\Severity;

require_once __DIR__.'/Boxes.php';

it('is undecided at every joint until somebody says, and closed when all of it is said', function () {
    $bare = builtOf(boxFile());
    foreach (['water', 'air', 'vapour', 'heat'] as $control) {
        expect($bare['threads'][$control])->toMatchArray([
            'closed' => false,
            'carried_m' => 0.0,
            'broken_m' => 0.0,
            'undecided_m' => 92.0,
            'breaks' => [],
        ]);
    }
    $kinds = ['outside-corner', 'parapet', 'wall-to-slab'];
    $said = builtOf(boxFile(['connections' => array_map(carrying(...), $kinds)]));
    foreach (['water', 'air', 'vapour', 'heat'] as $control) {
        expect($said['threads'][$control])->toMatchArray(['closed' => true, 'carried_m' => 92.0, 'undecided_m' => 0.0]);
    }
});

it('opens exactly where one connection is taken out of a closed thread', function (string $kind, float $metres) {
    $kinds = ['outside-corner', 'parapet', 'wall-to-slab'];
    $rest = array_values(array_diff($kinds, [$kind]));
    $left = builtOf(boxFile(['connections' => array_map(carrying(...), $rest)]));
    expect($left['threads']['air']['closed'])
        ->toBeFalse()
        ->and($left['threads']['air']['undecided_m'])
        ->toBe($metres);
    foreach ($left['joints'] as $joint) {
        expect($joint['threads']['air'])->toBe($joint['kind'] === $kind ? 'undecided' : 'carried');
    }
})->with([['outside-corner', 12.0], ['parapet', 40.0], ['wall-to-slab', 40.0]]);

it('takes the more particular word, thread by thread, and of equal ones the later', function () {
    $corner = 'outside-corner:hall.wall.0|hall.wall.1';
    $states = statesOf(boxFile([
        'connections' => [
            ['joint' => $corner, 'threads' => ['air' => ['by' => 'none']]],
            [
                'joint' => ['kind' => 'outside-corner', 'between' => ['w1', 'w1']],
                'threads' => ['water' => ['by' => 'lap']],
            ],
            [
                'joint' => ['kind' => 'outside-corner'],
                'threads' => ['air' => ['by' => 'tape'], 'water' => ['by' => 'none']],
            ],
            ['joint' => ['kind' => 'parapet', 'between' => ['r1', 'w1']], 'threads' => ['air' => ['by' => 'none']]],
            ['joint' => ['kind' => 'parapet', 'between' => ['w1', 'r1']], 'threads' => ['air' => ['by' => 'bead']]],
        ],
    ]));
    expect($states[$corner])
        ->toBe(['water' => 'carried', 'air' => 'broken', 'vapour' => 'undecided', 'heat' => 'undecided'])
        ->and($states['outside-corner:hall.wall.1|hall.wall.2']['air'])
        ->toBe('carried')
        ->and($states['parapet:hall.roof|hall.wall.0']['air'])
        ->toBe('carried');
});

it('knows what each way of handing over carries, and which layer', function (array $claim, string $on, string $state) {
    $states = statesOf(boxFile(['connections' => [['joint' => ['kind' => 'parapet'], 'threads' => [$on => $claim]]]]));
    expect($states['parapet:hall.roof|hall.wall.0'][$on])->toBe($state);
})->with([
    [['by' => 'lap'], 'water', 'carried'],
    [['by' => 'lap'], 'air', 'broken'],
    [['by' => 'foam'], 'air', 'carried'],
    [['by' => 'foam'], 'heat', 'carried'],
    [['by' => 'foam'], 'water', 'broken'],
    [['by' => 'butt'], 'heat', 'carried'],
    [['by' => 'butt'], 'air', 'broken'],
    [['by' => 'metal'], 'water', 'carried'],
    [['by' => 'metal'], 'vapour', 'broken'],
    [['by' => 'gasket'], 'vapour', 'carried'],
    [['by' => 'tape'], 'heat', 'broken'],
    [['by' => 'continuous'], 'heat', 'carried'],
    [['by' => 'none'], 'heat', 'broken'],
    [['by' => 'tape', 'from' => 'm', 'to' => 'm'], 'air', 'carried'],
    [['by' => 'tape', 'from' => 'b'], 'air', 'broken'],
    [['by' => 'tape', 'to' => 'zz'], 'air', 'broken'],
]);

it('breaks at every joint of a part without the layer, and names the part', function () {
    $connections = array_map(carrying(...), ['outside-corner', 'parapet', 'wall-to-slab']);
    $file = boxFile(['connections' => $connections], ['walls' => ['1' => 'bare']]);
    $built = builtOf($file);
    $air = $built['threads']['air'];
    // Two corners, its foot and its head: 3 + 3 + 8 + 8 m.
    expect($air['broken_m'])
        ->toBe(22.0)
        ->and($air['breaks'][0]['length_m'])
        ->toBe(8.0)
        ->and($air['breaks'][0]['why'])
        ->toContain('hall.wall.1');
    $findings = (new Assessment(readProject($file)))->findings;
    $broken = array_filter($findings, fn (Finding $f): bool => $f->code === 'building.thread-broken');
    expect($broken)->toHaveCount(4)->each(fn ($f) => $f->severity->toBe(Severity::Fail));
});

it('needs no water at the foot of a foundation, and says what has no assembly', function () {
    $file = boxFile([], ['base_mm' => -2000, 'foundation' => null]);
    unset($file['building']['blocks'][0]['foundation']);
    $states = statesOf($file);
    expect($states['foundation-to-slab:hall.foundation.0|hall.slab']['water'])
        ->toBe('not-needed')
        ->and($states['wall-to-foundation:hall.foundation.0|hall.wall.0']['water'])
        ->toBe('broken');
    $codes = array_count_values(
        array_map(fn (Finding $f): string => $f->code, (new Assessment(readProject($file)))->findings),
    );
    expect($codes['building.no-assembly'])->toBe(4);
    $sums = builtOf($file)['threads']['water'];
    $all = array_sum(array_column(builtOf($file)['joints'], 'length_m'));
    expect($sums['carried_m'] + $sums['broken_m'] + $sums['undecided_m'] + $sums['not_needed_m'])
        ->toEqualWithDelta($all, 1e-6);
});

it('asks for no vapour layer where the climate does not', function () {
    $climate = (new Apron\Climate\GenericClimates)->named('hot humid (made up)');
    $written = json_decode((string) json_encode(Apron\Climate\ClimateFormat::writeClimate($climate)), true);
    $file = boxFile([], [], ['climate' => $written]);
    expect(statesOf($file)['parapet:hall.roof|hall.wall.0']['vapour'])->toBe('not-needed');
});

it('puts openings, doors, penetrations and movement joints into their parts', function () {
    $built = builtOf(boxFile(
        [
            'placed' => [
                ['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 900],
                ['opening' => 'o2', 'block' => 'hall', 'edge' => 0, 'x_mm' => 5000, 'z_mm' => 0],
                ['detail' => 'p1', 'block' => 'hall', 'edge' => 1, 'x_mm' => 1000, 'z_mm' => 400, 'count' => 3],
                ['detail' => 'p1', 'block' => 'hall', 'on' => 'roof', 'at_mm' => [3000, 3000]],
            ],
            'movement' => [['id' => 'm1', 'block' => 'hall', 'edge' => 2, 'x_mm' => 6000]],
        ],
        [],
        ['openings' => [windowRow('o1'), windowRow('o2', ['height_mm' => 2100])]],
    ));
    $parts = array_column($built['parts'], null, 'id');
    $joints = array_column($built['joints'], null, 'id');
    $length = fn (string $kind): float => array_sum(
        array_column(array_filter($built['joints'], fn (array $j): bool => $j['kind'] === $kind), 'length_m'),
    );
    expect($parts['hall.wall.0']['gross_m2'])
        ->toBe(36.0)
        ->and($parts['hall.wall.0']['net_m2'])
        ->toBe(36.0 - 0.9 * 1.2 - 0.9 * 2.1)
        ->and($parts['hall.opening.o1']['gross_m2'])
        ->toBe(1.08)
        ->and($built['envelope_m2'])
        ->toBe(312.0)
        ->and($length('sill'))
        ->toBe(1.8)
        ->and($length('head'))
        ->toBe(1.8)
        ->and(round($length('jamb'), 6))
        ->toBe(6.6)
        // The door takes its width of the foot.
        ->and(round($length('wall-to-slab'), 6))
        ->toBe(39.1)
        ->and(array_filter($built['joints'], fn (array $j): bool => $j['kind'] === 'penetration'))
        ->toHaveCount(4)
        ->and($length('movement'))
        ->toBe(3.0)
        ->and($joints['sill:hall.opening.o1|hall.wall.0']['detail'])
        ->toBe('o1')
        // Its sequence proves water and air; vapour and heat nobody has said.
        ->and($joints['sill:hall.opening.o1|hall.wall.0']['threads'])
        ->toBe(['water' => 'carried', 'air' => 'carried', 'vapour' => 'undecided', 'heat' => 'undecided']);
});

it('refuses what is put where it cannot stand, at its place', function (array $placed, string $at) {
    $file = boxFile(['placed' => $placed], [], ['openings' => [windowRow('o1'), windowRow('o2')]]);
    expect(fn () => readProject($file))->toThrow(
        fn (FileRefused $e) => expect($e->pointer)->toBe("/building/placed/$at"),
    );
})->with([
    'past the end' => [[['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 11500, 'z_mm' => 900]], '0'],
    'through the roof' => [[['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 2500]], '0'],
    'over another' => [
        [
            ['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 900],
            ['opening' => 'o2', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1800, 'z_mm' => 900],
        ],
        '1',
    ],
    'in no block' => [[['opening' => 'o1', 'block' => 'barn', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 900]], '0'],
    'on no edge' => [[['opening' => 'o1', 'block' => 'hall', 'edge' => 9, 'x_mm' => 1000, 'z_mm' => 900]], '0'],
    'nowhere' => [[['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000]], '0/z_mm'],
    'of two kinds' => [
        [['opening' => 'o1', 'detail' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 9]],
        '0',
    ],
    'off the roof' => [[['detail' => 'o1', 'block' => 'hall', 'on' => 'roof', 'at_mm' => [-500, 0]]], '0'],
]);

it('keeps the place of an opening that is gone, and a word about a joint that there is none of', function () {
    $file = boxFile([
        'placed' => [['opening' => 'gone', 'block' => 'hall', 'edge' => 0, 'x_mm' => 1000, 'z_mm' => 900]],
        'connections' => [['joint' => ['kind' => 'ridge'], 'threads' => ['air' => ['by' => 'tape']]]],
    ]);
    $project = readProject($file);
    $codes = array_map(fn (Finding $f): string => $f->code, (new Assessment($project))->findings);
    expect($codes)->toContain('building.no-such-opening', 'building.connection-nowhere');
    $again = json_decode(ProjectFormat::write($project), true);
    expect($again['building']['placed'][0]['opening'])
        ->toBe('gone')
        ->and($again['building']['connections'][0]['joint'])
        ->toBe(['kind' => 'ridge'])
        ->and(ProjectFormat::write(readProject($again)))
        ->toBe(ProjectFormat::write($project));
});

it('lists the corners at which three parts meet, each with the joint that has the most to lose', function () {
    $built = builtOf(boxFile(['connections' => [carrying('outside-corner'), carrying('parapet')]]));
    expect($built['corners'])->toHaveCount(8);
    foreach ($built['corners'] as $corner) {
        $foot = $corner['at_mm'][2] === 0.0;
        expect($corner['joints'])->toHaveCount(3)->and(str_starts_with($corner['worst'], 'wall-to-slab'))->toBe($foot);
    }
    expect(ThreadState::Broken->rank())->toBeLessThan(ThreadState::Undecided->rank());
});
