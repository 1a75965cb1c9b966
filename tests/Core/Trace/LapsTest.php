<?php

declare(strict_types=1);

use Apron\Trace\Check\Laps;
use Apron\Trace\Lap;

require_once __DIR__.'/Support.php';

/** Laps between a folded piece and a strip of another, as [direction, mm]. */
function lapsOf(array $patches, string $facet, array $strip): array
{
    $detail = openingDetail([
        piece('p', 'formable', 1, array_map(fn (array $p) => [$p[0], $p[1], ['joined' => ['x']]], $patches)),
        piece('s', 'membrane', 2, [[$facet, $strip]]),
    ]);

    return array_map(
        fn (Lap $l) => [$l->horizontal ? 'horizontal' : 'end', $l->size],
        array_values(array_filter(traced($detail)->of(Laps::class)->laps, fn (Lap $l) => $l->facet === $facet)),
    );
}

it('sees no edge where a piece goes over an arris, and one where it stops', function (
    array $patches,
    string $facet,
    array $atArris,
    array $atEnd,
    array $lap,
) {
    expect(lapsOf($patches, $facet, $atArris))
        ->toBe([])
        ->and(lapsOf($patches, $facet, $atEnd))
        ->toBe([$lap]);
})->with([
    'face into sill' => [
        [['face', [0, -200, 1000, 0]], ['sill', [0, 0, 1000, 100]]],
        'face',
        [0, -60, 1000, 400],
        [0, -400, 1000, -160],
        ['horizontal', 40.0],
    ],
    'face into head' => [
        [['face', [0, 1000, 1000, 1200]], ['head', [0, 0, 1000, 100]]],
        'face',
        [0, 600, 1000, 1060],
        [0, 1160, 1000, 1400],
        ['horizontal', 40.0],
    ],
    'face into left jamb' => [
        [['face', [-200, 0, 0, 1000]], ['jamb-left', [0, 0, 100, 1000]]],
        'face',
        [-60, 0, 400, 1000],
        [-400, 0, -160, 1000],
        ['end', 40.0],
    ],
    'face into right jamb' => [
        [['face', [1000, 0, 1200, 1000]], ['jamb-right', [0, 0, 100, 1000]]],
        'face',
        [600, 0, 1060, 1000],
        [1160, 0, 1400, 1000],
        ['end', 40.0],
    ],
    'sill out onto the face' => [
        [['sill', [0, 0, 1000, 90]], ['face', [0, -200, 1000, 0]]],
        'sill',
        [0, 0, 1000, 0.5],
        [0, 60, 1000, 140],
        ['horizontal', 30.0],
    ],
    'left jamb down onto the sill' => [
        [['jamb-left', [0, 0, 140, 300]], ['sill', [0, 0, 1000, 140]]],
        'jamb-left',
        [0, 0, 140, 0.5],
        [0, 270, 140, 600],
        ['horizontal', 30.0],
    ],
    'left jamb up into the head' => [
        [['jamb-left', [0, 700, 140, 1000]], ['head', [0, 0, 1000, 140]]],
        'jamb-left',
        [0, 999.5, 140, 1000],
        [0, 300, 140, 730],
        ['horizontal', 30.0],
    ],
    'left jamb out onto the face' => [
        [['jamb-left', [0, 0, 90, 1000]], ['face', [-200, 0, 0, 1000]]],
        'jamb-left',
        [0, 0, 0.5, 1000],
        [60, 0, 140, 1000],
        ['end', 30.0],
    ],
    'sill up the left jamb' => [
        [['sill', [0, 0, 300, 140]], ['jamb-left', [0, 0, 140, 200]]],
        'sill',
        [0, 0, 0.5, 140],
        [270, 0, 600, 140],
        ['end', 30.0],
    ],
    'sill up the right jamb' => [
        [['sill', [700, 0, 1000, 140]], ['jamb-right', [0, 0, 140, 200]]],
        'sill',
        [999.5, 0, 1000, 140],
        [300, 0, 730, 140],
        ['end', 30.0],
    ],
]);

it('takes patches joined along a whole edge in one step as one, however often they are split', function () {
    $rows = fn (array $cuts, array $more = []) => array_map(
        fn (int $i) => ['face', [-400, $cuts[$i], 1400, $cuts[$i + 1]], ['joined' => ['j']] + ($more[$i] ?? [])],
        range(0, count($cuts) - 2),
    );
    $laps = fn (array $patches) => array_map(
        fn (Lap $l) => $l->size,
        traced(openingDetail([piece('low', 'sheet', 1, $patches), one('up', 'sheet', 5, [-400, -200, 1400, -20])]))->of(
            Laps::class,
        )->laps,
    );
    expect($laps($rows([-450, -100])))
        ->toBe([100.0])
        ->and($laps($rows([-450, -300, -100])))
        ->toBe([100.0])
        ->and($laps($rows([-450, -300, -150, -120, -100])))
        ->toBe([100.0])
        // Of another step it is a flap, and laps for itself.
        ->and($laps($rows([-450, -150, -100], [1 => ['step' => 3]])))
        ->toBe([]);
});

it('measures every pair that touches, innermost first, with the least that is asked of it', function () {
    $laps = traced(
        wallDetail(
            [
                one('a', 'sheet', 1, [0, 0, 1000, 400]),
                one('b', 'sheet', 2, [0, 340, 1000, 700]),
                one('c', 'membrane', 3, [0, 640, 1000, 1000]),
                one('d', 'metal', 4, [0, 380, 1000, 660]),
            ],
            [
                'least_laps' => [
                    ['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100],
                    ['outer' => 'c', 'inner' => 'b', 'horizontal_mm' => 50],
                ],
            ],
        ),
    )->of(Laps::class)->laps;
    expect(
        array_map(
            fn (Lap $l) => "$l->outer/$l->inner {$l->size} ".
                ($l->least ?? 'none').
                ' '.
                $l->verdict->value.
                ($l->reversed ? ' reversed' : ''),
            $laps,
        ),
    )->toBe([
        // d and a overlap too, with b between them all over.
        'b/a 60 100 caution',
        'c/b 60 50 pass',
        'd/c 20 none pass reversed',
    ]);
});

it('measures a lap at the free end of a piece that is folded at its other end', function () {
    $folded = piece('roof', 'membrane', 2, [
        ['roof', [0, 0, 1000, 500], ['joined' => ['r']]],
        ['face', [0, 850, 1000, 1000], ['joined' => ['r']]],
    ]);
    $laps = array_map(
        fn ($lap) => [$lap->outer, $lap->inner, $lap->size, $lap->reversed],
        traced(roofDetail([one('wall', 'sheet', 1, [0, 0, 1000, 950]), $folded]))->of(Laps::class)->laps,
    );
    expect($laps)->toBe([['roof', 'wall', 100.0, false]]);
    // At the arris itself there is no edge, and no lap.
    $over = piece('over', 'membrane', 1, [
        ['face', [0, 900, 1000, 1000], ['joined' => ['o']]],
        ['roof', [0, 0, 1000, 100], ['joined' => ['o']]],
    ]);
    expect(
        array_map(
            fn ($lap) => [$lap->outer, $lap->inner, $lap->facet, $lap->size],
            traced(roofDetail([$over, one('wall', 'sheet', 2, [0, 0, 1000, 950])]))->of(Laps::class)->laps,
        ),
    )->toBe([['wall', 'over', 'face', 50.0]]);
});

it('finds no edge where a piece goes on sideways, and one where it goes on only in part', function (
    array $first,
    array $second,
    array $over,
    bool $level,
    bool $found,
) {
    $ell = piece('a', 'sheet', 1, [['face', $first, ['joined' => ['j']]], ['face', $second, ['joined' => ['j']]]]);
    $laps = array_map(
        fn ($lap) => [$lap->horizontal, $lap->size],
        traced(wallDetail([$ell, one('b', 'sheet', 2, $over)]))->of(Laps::class)->laps,
    );
    expect(in_array([$level, 100.0], $laps, true))->toBe($found, json_encode($laps));
})->with([
    'on the right, all along' => [[0, 0, 500, 1000], [500, 0, 700, 400], [400, 100, 1000, 300], false, false],
    'on the right, just so far' => [[0, 0, 500, 1000], [500, 0, 700, 400], [400, 0, 1000, 400], false, false],
    'on the right, in part' => [[0, 0, 500, 1000], [500, 0, 700, 400], [400, 100, 1000, 600], false, true],
    'on the right, from too high' => [[0, 0, 500, 1000], [500, 200, 700, 800], [400, 100, 1000, 300], false, true],
    'on the left, all along' => [[500, 0, 1000, 1000], [300, 0, 500, 400], [0, 100, 600, 300], false, false],
    'on the left, in part' => [[500, 0, 1000, 1000], [300, 0, 500, 400], [0, 100, 600, 600], false, true],
    'on the left, from too high' => [[500, 0, 1000, 1000], [300, 200, 500, 800], [0, 100, 600, 300], false, true],
    'below, all along' => [[0, 500, 1000, 1000], [0, 300, 400, 500], [100, 0, 300, 600], true, false],
    'below, in part' => [[0, 500, 1000, 1000], [0, 300, 400, 500], [100, 0, 600, 600], true, true],
    'above, all along' => [[0, 0, 1000, 500], [0, 500, 400, 700], [100, 400, 300, 1000], true, false],
    'above, in part' => [[0, 0, 1000, 500], [0, 500, 400, 700], [100, 400, 600, 1000], true, true],
]);

it('finds no edge at an arris, where the wall goes on past it', function (array $joined, array $expected) {
    // The wall stands past the roof: the arris is at 700 of its 1000.
    $detail = [
        'id' => 'd',
        'title' => 'case',
        'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
        'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 700]],
        'release' => 'roof',
    ];
    $folded = piece('f', 'membrane', 1, [
        ['face', [0, 500, 1000, 700], ['joined' => ['j']]],
        ['roof', [0, 0, 1000, 100], ['joined' => $joined]],
    ]);
    expect(
        array_map(
            fn ($lap) => [$lap->facet, $lap->size],
            traced($detail + ['pieces' => [$folded, one('up', 'membrane', 2, [0, 600, 1000, 1000])]])->of(Laps::class)
                ->laps,
        ),
    )->toBe($expected);
})->with(['folded' => [['j'], []], 'slit at the arris' => [['k'], [['face', 100.0]]]]);
