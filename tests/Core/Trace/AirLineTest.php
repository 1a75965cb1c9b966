<?php

declare(strict_types=1);

use Apron\Trace\Check\AirLine;

require_once __DIR__.'/Support.php';

/**
 * Whether the left jamb is reached: the wall's air layer, then what is between it and a lining of the jamb, the inner
 * seal at 80.
 */
function jambReached(array $between, array $lining = [], array $unit = []): bool
{
    $layer = one('layer', 'sheet', 1, [-500, -500, -60, 1500], ['air' => true, 'air_layer' => true]);
    $lined = array_replace(
        piece(
            'lining',
            'membrane',
            20,
            [['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]], ['face', [-20, 0, 0, 1000], ['joined' => ['l']]]],
            ['air' => true],
        ),
        $lining,
    );

    return traced(
        openingDetail(
            [$layer, ...$between, $lined],
            [],
            [
                'unit' => array_replace(
                    ['z' => [0, 80], 'joints' => ['jamb-left' => ['outer' => 'open', 'inner' => true]]],
                    $unit,
                ),
            ],
        ),
    )->of(AirLine::class)->air['jamb-left'];
}

it('follows contacts from the wall’s air layer to the jamb', function (array $between, bool $reached) {
    expect(jambReached($between))->toBe($reached);
})->with([
    'nothing between' => [[], false],
    'a bonded strip over both' => [[one('strip', 'tape', 2, [-100, 0, -10, 1000], ['air' => true])], true],
    'a strip that is not for air' => [[one('strip', 'tape', 2, [-100, 0, -10, 1000])], false],
    'a fastened strip: the lining is bonded to it, it is not to the layer' => [
        [one('strip', 'sheet', 2, [-100, 0, -10, 1000], ['air' => true])],
        false,
    ],
    'a fastened strip, its edge taped' => [
        [
            one('strip', 'sheet', 2, [-100, 0, -10, 1000], ['air' => true]),
            one('tape', 'tape', 3, [-120, 0, -80, 1000], ['air' => true]),
        ],
        true,
    ],
    'a strip that does not reach the layer' => [[one('strip', 'tape', 2, [-55, 0, -10, 1000], ['air' => true])], false],
    'a strip that does not reach the lining' => [
        [one('strip', 'tape', 2, [-100, 0, -25, 1000], ['air' => true])],
        false,
    ],
    'by way of two strips' => [
        [
            one('a', 'tape', 2, [-100, 0, -40, 1000], ['air' => true]),
            one('b', 'tape', 3, [-50, 0, -10, 1000], ['air' => true]),
        ],
        true,
    ],
    'a bead that both touch' => [[one('bead', 'sealant', 2, [-70, 0, -10, 1000])], true],
]);

it('asks the seal to lie on the lining over its whole height, at its own depth', function (
    array $patches,
    array $unit,
    bool $reached,
) {
    $strip = [one('strip', 'tape', 2, [-100, 0, -10, 1000], ['air' => true])];
    $rows = array_map(
        fn (int $i) => ['id' => "l.$i", 'facet' => $patches[$i][0], 'rect' => $patches[$i][1], 'joined' => ['l']],
        array_keys($patches),
    );
    expect(jambReached($strip, ['patches' => $rows], $unit))->toBe($reached);
})->with([
    'whole' => [[['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'in two lengths that meet' => [
        [['jamb-left', [0, 0, 140, 400]], ['jamb-left', [0, 400, 140, 1000]], ['face', [-20, 0, 0, 1000]]],
        [],
        true,
    ],
    'in two lengths with a gap' => [
        [['jamb-left', [0, 0, 140, 390]], ['jamb-left', [0, 400, 140, 1000]], ['face', [-20, 0, 0, 1000]]],
        [],
        false,
    ],
    'stops short of the head' => [[['jamb-left', [0, 0, 140, 990]], ['face', [-20, 0, 0, 1000]]], [], false],
    'not as deep as the seal' => [[['jamb-left', [0, 0, 79, 1000]], ['face', [-20, 0, 0, 1000]]], [], false],
    'just as deep' => [[['jamb-left', [0, 0, 80, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'from there inward' => [[['jamb-left', [80, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'from farther in' => [[['jamb-left', [81, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], false],
    'without an inner seal' => [
        [['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]],
        ['joints' => ['jamb-left' => ['outer' => 'open', 'inner' => false]]],
        false,
    ],
    'by the outer seal instead' => [
        [['jamb-left', [0, 0, 30, 1000]], ['face', [-20, 0, 0, 1000]]],
        ['joints' => ['jamb-left' => ['outer' => 'sealed', 'inner' => false]]],
        true,
    ],
    'insulation alone is no seal' => [
        [['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]],
        ['joints' => ['jamb-left' => ['outer' => 'open', 'insulation' => true]]],
        false,
    ],
]);

/** Which sides a unit is reached on by its flange alone: a plane of air beside, above and below, the flange on it. */
function byFlange(array $flanges, array $plane = [], array $edges = []): array
{
    $layer = piece(
        'layer',
        'membrane',
        1,
        array_map(
            fn (array $rect) => ['face', $rect, ['joined' => ['f']]],
            $plane + [[-500, -500, 1500, 0], [-500, 0, 0, 1000], [1000, 0, 1500, 1000], [-500, 1000, 1500, 1500]],
        ),
        ['air' => true, 'air_layer' => true],
    );
    $unit = piece('unit', 'unit', 5, array_map(fn (array $rect) => ['face', $rect], $flanges), [
        'air' => true,
        'edges' => $edges + ['left' => 'sealed', 'right' => 'sealed', 'top' => 'sealed', 'bottom' => 'open'],
    ]);
    $air = traced(
        openingDetail(
            [$layer, $unit],
            [],
            [
                'unit' => [
                    'z' => [0, 80],
                    'flange' => 'unit',
                    'joints' => ['sill' => ['outer' => 'open', 'inner' => false]],
                ],
            ],
        ),
    )->of(AirLine::class)->air;

    return array_keys(array_filter($air));
}

it('reaches a unit by an edge of its flange that is sealed to the plane along its whole length', function (
    array $flanges,
    array $plane,
    array $edges,
    array $expected,
) {
    expect(byFlange($flanges, $plane, $edges))->toBe($expected);
})->with([
    'three sides sealed, the foot open' => [[[-25, -25, 1025, 1025]], [], [], ['head', 'jamb-left', 'jamb-right']],
    'all four' => [[[-25, -25, 1025, 1025]], [], ['bottom' => 'sealed'], ['sill', 'head', 'jamb-left', 'jamb-right']],
    'sealed but for a gap' => [
        [[-25, -25, 1025, 1025]],
        [],
        [
            'top' => [
                ['from' => -25, 'to' => 400, 'edge' => 'sealed'],
                ['from' => 500, 'to' => 1025, 'edge' => 'sealed'],
            ],
        ],
        ['jamb-left', 'jamb-right'],
    ],
    'bonded is not sealed' => [[[-25, -25, 1025, 1025]], [], ['left' => 'adhered'], ['head', 'jamb-right']],
    'the plane stops short on the left' => [
        [[-25, -25, 1025, 1025]],
        [1 => [-500, 0, -30, 1000]],
        [],
        ['head', 'jamb-right'],
    ],
    'the plane ends at the very edge: nothing under it' => [
        [[-25, -25, 1025, 1025]],
        [1 => [-500, 0, -25, 1000]],
        [],
        ['head', 'jamb-right'],
    ],
    'the plane only comes to the edge from inside' => [
        [[-25, -25, 1025, 1025]],
        [1 => [-25, 0, 0, 1000]],
        [],
        ['head', 'jamb-left', 'jamb-right'],
    ],
    'the plane above leaves the right end bare' => [
        [[-25, -25, 1025, 1025]],
        [3 => [-500, 1000, 1010, 1500]],
        [],
        ['jamb-left'],
    ],
    'a strip that ends level with the flange above' => [
        [[-25, -25, 1025, 1025]],
        [3 => [-500, 1000, 1500, 1025]],
        [],
        ['head', 'jamb-left', 'jamb-right'],
    ],
    'strips that end level with it beside and below' => [
        [[-25, -25, 1025, 1025]],
        [0 => [-500, -25, 1500, 0], 2 => [1000, 0, 1025, 1000]],
        ['bottom' => 'sealed'],
        ['sill', 'head', 'jamb-left', 'jamb-right'],
    ],
    'two units coupled' => [
        [[-25, -25, 500, 1025], [500, -25, 1025, 1025]],
        [],
        [],
        ['head', 'jamb-left', 'jamb-right'],
    ],
    'one of two short of the head' => [
        [[-25, -25, 500, 1025], [500, -25, 1025, 990]],
        [],
        [],
        ['jamb-left', 'jamb-right'],
    ],
]);

it('has no air line where the unit has no flange and no joints', function () {
    $layer = one('layer', 'membrane', 1, [-500, -500, 1500, 0], ['air' => true, 'air_layer' => true]);
    expect(
        array_filter(
            traced(
                openingDetail(
                    [$layer],
                    [],
                    ['unit' => ['z' => [0, 80], 'joints' => ['sill' => ['outer' => 'open', 'inner' => false]]]],
                ),
            )->of(AirLine::class)->air,
        ),
    )
        ->toBe([])
        ->and(traced(wallDetail([one('a', 'sheet', 1, [0, 0, 1000, 1000])]))->of(AirLine::class)->air)
        ->toBe([]);
});

it('asks the same of the sill, along its depth', function () {
    $joints = ['joints' => ['sill' => ['outer' => 'open', 'inner' => true]]];
    $reached = fn (array $sill) => traced(
        openingDetail(
            [
                one('layer', 'membrane', 1, [-500, -500, 1500, 0], ['air' => true, 'air_layer' => true]),
                piece(
                    'pan',
                    'formable',
                    2,
                    [['sill', $sill, ['joined' => ['p']]], ['face', [-50, -50, 1050, 0], ['joined' => ['p']]]],
                    ['air' => true],
                ),
            ],
            [],
            ['unit' => ['z' => [0, 80]] + $joints],
        ),
    )->of(AirLine::class)->air['sill'];
    expect($reached([0, 0, 1000, 140]))
        ->toBeTrue()
        ->and($reached([0, 0, 1000, 80]))
        ->toBeTrue()
        ->and($reached([0, 0, 1000, 79]))
        ->toBeFalse()
        ->and($reached([10, 0, 1000, 140]))
        ->toBeFalse()
        ->and($reached([0, 0, 990, 140]))
        ->toBeFalse();
});
