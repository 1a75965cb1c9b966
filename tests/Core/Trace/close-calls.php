<?php

declare(strict_types=1);

// Cases at the limits of the rules, each asked for by a change of one sign in the code that no other case noticed. What
// must come of each follows from the rule it names, not from the code.

require_once __DIR__.'/Support.php';

$full = [0, 0, 1000, 1000];
$courses = fn (array $a, array $b, array $more = []) => wallDetail(
    [$a, $b],
    ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150]]] + $more,
);

return [
    // --- the trace ---
    'drain: over nothing at all' => [
        wallDetail([one('drip', 'metal', 1, [0, 400, 1000, 1000], [], ['drain' => true])]),
        ['top@500' => ['shed', 'pass', null]],
        'it leaves at the drip and is not followed further: there is nothing left that could fail',
    ],
    'head: beside the hole a strip that folds into it has an open foot' => [
        openingDetail([
            one('back', 'sheet', 1, [-500, -500, 1500, 1500]),
            piece('strip', 'sheet', 3, [
                ['face', [-100, 1000, 1100, 1200], ['joined' => ['h']]],
                ['head', [0, 0, 1000, 140], ['joined' => ['h']]],
            ]),
        ]),
        ['top@-50' => ['recovered', 'note', null], 'top@1050' => ['recovered', 'note', null]],
        'in at its open top and out at its open foot; only over the hole does it go round the arris',
    ],
    'fold: behind what goes over it, the carrier ending there' => [
        roofDetail([
            piece('roofing', 'membrane', 1, [['roof', [0, 0, 1000, 500]]]),
            piece('over', 'sheet', 2, [
                ['roof', [0, 0, 1000, 300], ['joined' => ['o']]],
                ['face', [0, 600, 1000, 1000], ['joined' => ['o']]],
            ]),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'in behind at the open top; the roofing ends at the arris over nothing, and what lies outboard catches nothing that is behind it',
    ],
    'fold: off the roofing onto an under-strip, and over a strip that begins there' => [
        roofDetail([
            piece('under', 'membrane', 1, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['u']]],
                ['face', [0, 0, 1000, 1000], ['joined' => ['u']]],
            ]),
            piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500]]]),
            one('strip', 'membrane', 3, [0, 700, 1000, 1000]),
        ]),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'it drops onto what goes over the arris and crosses onto the strip by its bond; behind that it would be trapped',
    ],
    'fold: behind a bonded piece that goes over it' => [
        roofDetail([
            piece('back', 'sheet', 1, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['b']]],
                ['face', [0, 0, 1000, 1000], ['joined' => ['b']]],
            ]),
            piece('over', 'membrane', 2, [
                ['roof', [0, 0, 1000, 300], ['joined' => ['o'], 'edges' => ['top' => 'open']]],
                ['face', [0, 600, 1000, 1000], ['joined' => ['o'], 'edges' => ['bottom' => 'open']]],
            ]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'it has no edge at the arris, so nothing is crossed there: behind it all the way, and out at its foot',
    ],
    'head: the sheet sealed to the unit below it' => [
        openingDetail(
            [
                piece('sheet', 'sheet', 1, [
                    ['face', [-500, -500, 1500, 0], ['joined' => ['f']]],
                    ['face', [-500, 0, 0, 1100], ['joined' => ['f']]],
                    ['face', [1000, 0, 1500, 1100], ['joined' => ['f']]],
                ]),
                one('above', 'sheet', 3, [-500, 1000, 1500, 1500], ['edges' => ['bottom' => 'sealed']]),
                one('unit', 'unit', 4, [0, -25, 1000, 1000]),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'a seal at the foot of the sheet holds as well as one at the top of the unit',
    ],
    'pipe: sealed to a sheet that ends just above it' => [
        wallDetail(
            [one('in', 'sheet', 1, [0, 600, 1000, 1000]), one('out', 'sheet', 2, $full)],
            [
                'penetrations' => [
                    ['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['in']],
                ],
            ],
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'along the pipe, past where that sheet would be: its seal is to nothing there',
    ],
    'opening: a bare jamb under a leaking unit' => [
        openingDetail(
            [
                piece(
                    'pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
            ],
            [],
            ['unit' => ['z' => [0, 80]]],
        ),
        ['unit:jamb-left@40' => ['wets substrate', 'fail', 0], 'unit:jamb-right@40' => ['wets substrate', 'fail', 0]],
        'a return is wood wherever nothing lies on it: only the hole in the face is none',
    ],
    'opening: a bare face beside and above the hole' => [
        openingDetail([piece('pan', 'formable', 2, [['sill', [0, 0, 1000, 140]]], ['role' => 'pan'])]),
        [
            'face@-300' => ['wets substrate', 'fail', 0],
            'face@1300' => ['wets substrate', 'fail', 0],
            'face@500' => ['wets substrate', 'fail', 0],
        ],
        'water is let go on bare wall too, and only in the hole is there none',
    ],
    'outboard at an arris: one folds with the water behind it, one does not' => [
        roofDetail([
            piece('back', 'sheet', 1, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['b']]],
                ['face', [0, 0, 1000, 1000], ['joined' => ['b']]],
            ]),
            piece('short', 'sheet', 2, [['roof', [0, 0, 1000, 300], ['edges' => ['bottom' => 'adhered']]]]),
            piece('over', 'sheet', 3, [
                ['roof', [0, 0, 1000, 400], ['joined' => ['o']]],
                ['face', [0, 600, 1000, 1000], ['joined' => ['o']]],
            ]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'behind both: the nearer is bonded at the arris and holds it in, though the outer goes on',
    ],

    'butt: what begins there lies outside of a sheet that passes in under it' => [
        wallDetail([
            piece('loose', 'sheet', 3, [
                ['face', [0, 500, 1000, 800], ['joined' => ['l']]],
                ['face', [0, 0, 1000, 500], ['joined' => ['l'], 'step' => 1]],
            ]),
            one('short', 'sheet', 2, [0, 500, 1000, 1000]),
            one('apron', 'sheet', 4, [0, 300, 1000, 500], ['edges' => ['top' => 'sealed']]),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'in behind the loose sheet at its open top; where the short one ends the water is behind the loose one still, and no seal on the outside of that can reach it',
    ],
    'butt: sealed to what lies inboard, a sheet going on outside of both' => [
        wallDetail([
            one('low', 'sheet', 1, [0, 0, 1000, 500], ['edges' => ['top' => 'sealed']]),
            one('up', 'sheet', 2, [0, 500, 1000, 1000]),
            one('over', 'sheet', 3, [0, 200, 1000, 800]),
        ]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'behind the outer sheet from one to the other by the seal: what lies outside of a joint does not part its two sides',
    ],
    'fold: what goes over the arris outboard of a strip that ends there' => [
        openingDetail(
            [
                one('low', 'sheet', 1, [-500, -500, 1500, 0]),
                piece('strip', 'membrane', 2, [['sill', [0, 0, 1000, 140]]]),
                piece('pan', 'sheet', 3, [
                    ['sill', [0, 0, 1000, 100], ['joined' => ['p']]],
                    ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                ]),
            ],
            [],
            ['unit' => ['z' => [0, 140]]],
        ),
        ['unit:sill@500' => ['wets substrate', 'fail', 0]],
        'in at the open inner end, onto the strip; that ends at the arris, and what goes on over it lies outside of the water',
    ],

    // --- joints ---
    'joint: joined above, to one that only meets the line' => [
        wallDetail([
            piece('l', 'board', 1, [
                ['face', [0, 0, 500, 1000], ['joined' => ['j']]],
                ['face', [500, 500, 1000, 1000], ['joined' => ['j']]],
            ]),
            one('r', 'board', 1, [500, 0, 1000, 500]),
        ]),
        ['joints' => [[500.0, [0.0, 500.0], 'fail']]],
        'where it is joined it has no edge; below that it has',
    ],
    'joint: joined at its other side' => [
        wallDetail([
            piece('l', 'board', 1, [
                ['face', [0, 0, 200, 1000], ['joined' => ['j']]],
                ['face', [200, 0, 500, 1000], ['joined' => ['j']]],
            ]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'fail']]],
        'joined at the left says nothing of the right',
    ],
    'joint: a strip that ends on the very line' => [
        wallDetail([
            one('l', 'board', 1, [0, 0, 500, 1000]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
            one('t', 'tape', 2, [430, 0, 500, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'fail'], [500.0, [0.0, 1000.0], 'fail']]],
        'it covers one side of the joint and not the line; its own edge lies there as well, beside the right board',
    ],

    'joint: a unit flush in the face beside a board' => [
        openingDetail([one('l', 'board', 1, [-500, 0, 0, 1000]), one('unit', 'unit', 2, [0, 0, 1000, 1000])]),
        ['joints' => [[0.0, [0.0, 1000.0], 'fail']]],
        'at the jamb there is wood behind the line: open',
    ],

    // --- laps ---
    'lap: along a piece in two joined lengths, the right one listed first' => [
        $courses(
            piece('low', 'sheet', 1, [
                ['face', [500, 0, 1000, 550], ['joined' => ['j']]],
                ['face', [0, 0, 500, 550], ['joined' => ['j']]],
            ]),
            one('up', 'sheet', 2, [0, 450, 1000, 1000]),
        ),
        ['laps' => [['up', 'low', 'horizontal', 100.0, false, 'pass']]],
        'one lap along one piece',
    ],
    'lap: a piece in two joined heights, the upper one listed first' => [
        $courses(
            piece('l', 'sheet', 1, [
                ['face', [0, 500, 550, 1000], ['joined' => ['j']]],
                ['face', [0, 0, 550, 500], ['joined' => ['j']]],
            ]),
            one('r', 'sheet', 2, [400, 0, 1000, 1000]),
        ),
        ['laps' => [['r', 'l', 'end', 150.0, false, 'pass']]],
        'the same upright',
    ],
    'lap: the same foot, wider than tall' => [
        $courses(one('a', 'sheet', 1, [0, 0, 800, 1000]), one('b', 'sheet', 2, [300, 0, 1000, 300])),
        ['laps' => [['b', 'a', 'end', 500.0, false, 'pass']]],
        'with the same foot neither reaches beyond the other upward and downward: it is the sides that lap',
    ],
    'lap: the same right edge, taller than wide' => [
        $courses(one('a', 'sheet', 1, [0, 0, 1000, 900]), one('b', 'sheet', 2, [800, 400, 1000, 1000])),
        ['laps' => [['b', 'a', 'horizontal', 500.0, false, 'pass']]],
        'and with the same side it is the heights',
    ],
    'lap: a part joined beside it, over half of its height' => [
        $courses(
            piece('a', 'sheet', 1, [
                ['face', [400, 0, 1000, 100], ['joined' => ['j']]],
                ['face', [300, 0, 400, 50], ['joined' => ['j']]],
            ]),
            one('b', 'sheet', 2, [0, 0, 600, 100]),
        ),
        ['laps' => [['b', 'a', 'end', 200.0, false, 'pass']]],
        'above the part the edge is an edge: the lap is there',
    ],
    'lap: a part joined beside it, over half of its height, mirrored' => [
        $courses(
            piece('a', 'sheet', 1, [
                ['face', [0, 0, 600, 100], ['joined' => ['j']]],
                ['face', [600, 50, 700, 100], ['joined' => ['j']]],
            ]),
            one('b', 'sheet', 2, [400, 0, 1000, 100]),
        ),
        ['laps' => [['b', 'a', 'end', 200.0, false, 'pass']]],
        'the same from the other side, and from below',
    ],
    'lap: a part joined at its far side' => [
        $courses(
            piece('b', 'sheet', 1, [
                ['face', [200, 0, 700, 100], ['joined' => ['j']]],
                ['face', [100, 0, 200, 150], ['joined' => ['j']]],
            ]),
            one('a', 'sheet', 2, [600, 0, 1000, 100]),
        ),
        ['laps' => [['a', 'b', 'end', 100.0, false, 'caution']]],
        'where it goes on is not where it is lapped',
    ],
    'lap: a part joined at its far side, mirrored' => [
        $courses(
            piece('b', 'sheet', 1, [
                ['face', [300, 0, 800, 100], ['joined' => ['j']]],
                ['face', [800, 0, 900, 150], ['joined' => ['j']]],
            ]),
            one('a', 'sheet', 2, [0, 0, 400, 100]),
        ),
        ['laps' => [['a', 'b', 'end', 100.0, false, 'caution']]],
        'the same on the other hand',
    ],
    'lap: on a slope, over a strip that turns down at the eaves' => [
        array_replace(
            roofDetail([
                piece('strip', 'membrane', 1, [
                    ['roof', [0, 0, 1000, 100], ['joined' => ['s']]],
                    ['face', [0, 900, 1000, 1000], ['joined' => ['s']]],
                ]),
                piece('roofing', 'membrane', 2, [['roof', [0, 50, 1000, 500]]]),
            ]),
            ['least_laps' => [['outer' => 'membrane', 'inner' => 'membrane', 'horizontal_mm' => 75]]],
        ),
        ['laps' => [['roofing', 'strip', 'horizontal', 50.0, false, 'caution']]],
        'the strip is folded at its foot; its top is an edge and is lapped by 50 of 75',
    ],
    'lap: under a flashing that comes down from a slope' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
            'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 700]],
            'release' => 'roof',
            'least_laps' => [['outer' => 'sheet', 'inner' => 'membrane', 'horizontal_mm' => 100]],
            'pieces' => [
                piece('flashing', 'membrane', 1, [
                    ['roof', [0, 0, 1000, 300], ['joined' => ['s']]],
                    ['face', [0, 500, 1000, 700], ['joined' => ['s']]],
                ]),
                one('wall', 'sheet', 2, [0, 600, 1000, 1000]),
            ],
        ],
        ['laps' => []],
        'the wall’s sheet begins on the flashing, but at the top of that there is a fold and no edge to lap over',
    ],
];
