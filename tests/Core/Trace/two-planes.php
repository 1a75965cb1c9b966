<?php

declare(strict_types=1);

// Cases of an opening behind thick exterior insulation, written with their reasons before the code that computes them.
// The opening is that of `cases.php`, 1000 × 1000 with a margin of 500, its face the sheathing; a board of 100 lies
// over it, cut flush with the opening.
// `outer-face` is the board's outer face, `reveal-…` its cut edges; depths on those run from the outer face inward. A
// metal flashing
// through the board at the head and a second pan at the sill are common practice; what water does on them follows from
// where they lie.

require_once __DIR__.'/Support.php';

$sheet = fn (float $up = 1200) => piece(
    'sheet',
    'sheet',
    1,
    [
        ['face', [-500, -500, 1500, 0], ['joined' => ['f']]],
        ['face', [-500, 0, 0, $up], ['joined' => ['f']]],
        ['face', [1000, 0, 1500, $up], ['joined' => ['f']]],
    ],
    ['role' => 'plane', 'air' => true, 'air_layer' => true],
);
$pan = fn (array $more = []) => piece(
    'pan',
    'formable',
    2,
    [
        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
        ['jamb-left', [0, 0, 140, 150], ['joined' => ['p']]],
        ['jamb-right', [0, 0, 140, 150], ['joined' => ['p']]],
        ...$more ?: [
            ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
            ['face', [-75, 0, 0, 150], ['joined' => ['p']]],
            ['face', [1000, 0, 1075, 150], ['joined' => ['p']]],
        ],
    ],
    ['role' => 'pan', 'air' => true],
);
$liners = [
    piece(
        'liner-left',
        'membrane',
        3,
        [['jamb-left', [0, 75, 140, 1000], ['joined' => ['l']]], ['face', [-75, 75, 0, 1000], ['joined' => ['l']]]],
        ['air' => true],
    ),
    piece(
        'liner-right',
        'membrane',
        3,
        [
            ['jamb-right', [0, 75, 140, 1000], ['joined' => ['r']]],
            ['face', [1000, 75, 1075, 1000], ['joined' => ['r']]],
        ],
        ['air' => true],
    ),
];
$above = fn (float $foot, int $step = 7) => piece(
    'above',
    'sheet',
    $step,
    [['face', [-500, $foot, 1500, 1500]]],
    ['role' => 'plane', 'air' => true],
);
/** Metal up the sheathing, out over the board, and down its outer face as a drip where asked. */
$flashing = fn (bool $drip, int $step = 6) => piece(
    'flashing',
    'metal',
    $step,
    [
        ['face', [0, 1000, 1000, 1200], ['joined' => ['h']]],
        ['reveal-head', [0, 0, 1000, 100], ['joined' => ['h']]],
        ...$drip ? [['outer-face', [0, 970, 1000, 1000], ['joined' => ['h'], 'drain' => true]]] : [],
    ],
    ['role' => 'head-flashing'],
);
$board = fn (int $step = 10) => piece(
    'board',
    'board',
    $step,
    array_map(fn (array $rect) => ['outer-face', $rect, ['joined' => ['b']]], [
        [-500, -500, 1500, 0],
        [-500, 0, 0, 1000],
        [1000, 0, 1500, 1000],
        [-500, 1000, 1500, 1500],
    ]),
);
$second = fn (array $more = [], string $kind = 'membrane') => piece('second', $kind, 11, [
    ['reveal-sill', [0, 0, 1000, 100], ['joined' => ['s']]],
    ['outer-face', [0, -50, 1000, 0], ['joined' => ['s']]],
    ...$more,
]);
$thick = fn (array $pieces, array $more = []) => openingDetail(
    $pieces,
    ['outer_board_mm' => 100],
    ['unit' => ['z' => [20, 100]]] + $more,
);
/** A unit with a flange on the sheathing, in sealant at jambs and head, its foot open. */
$flange = fn () => one(
    'unit',
    'unit',
    5,
    [-25, -25, 1025, 1025],
    ['edges' => ['left' => 'sealed', 'right' => 'sealed', 'top' => 'sealed']],
);
$inner = [$sheet(), $pan(), ...$liners, $above(1000)];

return [
    'off the board’s arris onto its bare cut edge' => [
        $thick([...$inner, $board()]),
        ['top:outer-face@500' => ['wets substrate', 'fail', 0]],
        'what runs on the outer face drips off at the head onto the cut edge below, and nothing covers that',
    ],
    'an outer face of a detail that is no opening' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => [
                'sheathing' => ['u' => [0, 1000], 'v' => [0, 500]],
                'outer-face' => ['u' => [0, 1000], 'v' => [0, 500]],
            ],
            'release' => 'sheathing',
            'pieces' => [
                piece('sheet', 'sheet', 1, [['sheathing', [0, 0, 1000, 500]]]),
                piece('board', 'board', 2, [['outer-face', [0, 0, 1000, 500]]]),
            ],
        ],
        ['top:outer-face@500' => [null, null, 'none'], 'top:sheathing@500' => ['shed', 'pass', null]],
        'water is let go where the detail says and nowhere else',
    ],
    'beside the opening it runs down the board' => [
        $thick([...$inner, $board()]),
        ['top:outer-face@-200' => ['shed', 'pass', null], 'top:outer-face@1200' => ['shed', 'pass', null]],
        'no edge is met there',
    ],
    'a second pan takes it to the outer face' => [
        $thick([...$inner, $board(), $second()]),
        ['top:outer-face@500' => ['shed', 'pass', null], 'face:reveal-sill@500' => ['shed', 'pass', null]],
        'onto the second pan, out over it, down its leg and off that onto the board',
    ],
    'a second pan that stops at the arris' => [
        $thick([...$inner, $board(), piece('second', 'membrane', 11, [['reveal-sill', [0, 0, 1000, 100]]])]),
        ['face:reveal-sill@500' => ['wets substrate', 'fail', 0]],
        'it only meets the board’s face there: the joint is open and what is behind it is the board’s edge',
    ],
    'a second pan that stops short of the arris' => [
        $thick([...$inner, $board(), piece('second', 'membrane', 11, [['reveal-sill', [0, 20, 1000, 100]]])]),
        ['face:reveal-sill@500' => ['wets substrate', 'fail', 0]],
        'off its edge onto the bare edge of the board',
    ],
    'half of the sill in a second pan' => [
        $thick([
            ...$inner,
            $board(),
            piece('second', 'membrane', 11, [
                ['reveal-sill', [0, 0, 500, 100], ['joined' => ['s']]],
                ['outer-face', [0, -50, 500, 0], ['joined' => ['s']]],
            ]),
        ]),
        ['face:reveal-sill@250' => ['shed', 'pass', null], 'face:reveal-sill@750' => ['wets substrate', 'fail', 0]],
        'strips are traced each for itself',
    ],
    'no board yet: the outer face is not there' => [
        $thick([...$inner]),
        ['top:outer-face@500' => [null, null, 'none'], 'top:face@-200' => ['shed', 'pass', null]],
        'nothing is let go on what is not built',
    ],

    'a flashing takes the sheathing’s water out over the board' => [
        $thick([$sheet(), $pan(), ...$liners, $flashing(true), $above(1100), $board()]),
        ['top:face@500' => ['shed', 'pass', null]],
        'down the sheet onto the upstand, out through the board, off the drip',
    ],
    'the same without a drip' => [
        $thick([$sheet(), $pan(), ...$liners, $flashing(false), $above(1100), $board()]),
        ['top:face@500' => ['wets substrate', 'fail', 0]],
        'off the flashing’s edge it falls past the opening onto the cut edge of the board below',
    ],
    'the same without a drip, over a second pan' => [
        $thick([$sheet(), $pan(), ...$liners, $flashing(false), $above(1100), $board(), $second()]),
        ['top:face@500' => ['shed', 'pass', null]],
        'and the second pan takes it',
    ],
    'the drip takes what runs down the board too' => [
        $thick([$sheet(), $pan(), ...$liners, $flashing(true), $above(1100), $board()]),
        ['top:outer-face@500' => ['shed', 'pass', null]],
        'its top is folded in under the board: no edge is met there, the water goes over the fold and off the drip',
    ],
    'a trim that only meets the board over the opening' => [
        $thick([...$inner, $board(), $second(), piece('trim', 'metal', 12, [['outer-face', [0, 900, 1000, 1000]]])]),
        ['top:outer-face@500' => ['wets substrate', 'fail', 0]],
        'it is not folded in under the board: the joint between the two leads in behind it',
    ],
    'no joint of a drip with the board beside it' => [
        $thick([$flashing(true), $board()]),
        ['joints' => []],
        'at the sides of the opening the drip hangs before the cut edge: what passes there comes into the reveal, onto the second pan, and onto no substrate',
    ],
    'joints of boards in line with the sides of the opening' => [
        $thick([
            piece('a', 'board', 1, [['outer-face', [-500, -500, 0, 0]]]),
            piece('b', 'board', 2, [['outer-face', [0, -500, 1500, 0]]]),
            piece('c', 'board', 3, [['outer-face', [-500, 1000, 0, 1500]]]),
            piece('d', 'board', 4, [['outer-face', [0, 1000, 1500, 1500]]]),
        ]),
        ['joints' => [[0.0, [-500.0, 0.0], 'fail'], [0.0, [1000.0, 1500.0], 'fail']]],
        'below and above the opening there is board behind the line, and the sheathing behind that',
    ],
    'beside a flashing no wider than the opening' => [
        $thick([$sheet(), $pan(), ...$liners, $flashing(true), $above(1100), $board()]),
        ['top:face@-200' => ['shed', 'pass', null]],
        'sheet over sheet behind the board',
    ],
    'the sheet behind the flashing’s upstand' => [
        $thick([$sheet(), $pan(), ...$liners, $above(1000, 5), $flashing(true), $board()]),
        ['top:face@500' => ['shed', 'pass', null], 'head' => ['flashing' => 'fail']],
        'in behind the flashing at its open top, and it leaves the wall with the water still behind it: off the arris of the sheathing onto the pan; the exposed top is told by the check of the head',
    ],
    'behind a bonded flashing wider than the opening' => [
        $thick([
            one('back', 'sheet', 1, [-500, -500, 1500, 1500]),
            $pan(),
            ...$liners,
            piece('flashing', 'membrane', 6, [
                ['face', [-100, 1000, 1100, 1200], ['joined' => ['h'], 'edges' => ['top' => 'open']]],
                ['reveal-head', [0, 0, 1000, 100], ['joined' => ['h']]],
            ]),
            $board(),
        ]),
        ['top:face@-50' => ['trapped', 'fail', 0], 'top:face@-300' => ['shed', 'pass', null]],
        'over the opening it leaves the wall; beside it its foot is bonded down and holds in what got behind it',
    ],
    'no flashing at the head' => [
        $thick([$sheet(), $pan(), ...$liners, $above(1000), $board(), $second()]),
        ['top:face@500' => ['shed', 'pass', null]],
        'what runs behind the board drips off the sheathing’s arris onto the pan, and down its leg behind the board',
    ],
    'a flashing stopped at the board’s inner face' => [
        $thick([
            $sheet(),
            $pan(),
            ...$liners,
            piece('flashing', 'metal', 6, [['face', [0, 1000, 1000, 1200]]], ['role' => 'head-flashing']),
            $above(1100),
            $board(),
            $second(),
        ]),
        ['top:face@500' => ['shed', 'pass', null]],
        'it does not go out: off the arris onto the pan, as without it',
    ],
    'a flashing whose outer part is another piece, lapped' => [
        $thick([
            $sheet(),
            $pan(),
            ...$liners,
            piece('drip', 'metal', 5, [
                ['reveal-head', [0, 0, 1000, 60], ['joined' => ['d']]],
                ['outer-face', [0, 970, 1000, 1000], ['joined' => ['d'], 'drain' => true]],
            ]),
            piece(
                'flashing',
                'membrane',
                6,
                [
                    ['face', [0, 1000, 1000, 1200], ['joined' => ['h']]],
                    ['reveal-head', [0, 10, 1000, 100], ['joined' => ['h']]],
                ],
                ['role' => 'head-flashing'],
            ),
            $above(1100),
            $board(),
        ]),
        [
            'top:face@500' => ['shed', 'pass', null],
            'top:outer-face@500' => ['shed', 'pass', null],
            'head' => ['flashing' => 'pass'],
        ],
        'membrane inward, metal only at the outer edge; the membrane drops it onto the metal',
    ],
    'laps on the edge of the board' => [
        $thick(
            [
                piece('drip', 'metal', 5, [
                    ['reveal-head', [0, 0, 1000, 60], ['joined' => ['d']]],
                    ['outer-face', [0, 970, 1000, 1000], ['joined' => ['d']]],
                ]),
                piece('flashing', 'membrane', 6, [
                    ['face', [0, 1000, 1000, 1200], ['joined' => ['h']]],
                    ['reveal-head', [0, 10, 1000, 100], ['joined' => ['h']]],
                ]),
                $above(1100),
            ],
            [
                'least_laps' => [
                    ['outer' => 'sheet', 'inner' => 'membrane', 'horizontal_mm' => 100],
                    ['outer' => 'membrane', 'inner' => 'metal', 'horizontal_mm' => 75],
                ],
            ],
        ),
        [
            'laps' => [
                ['flashing', 'drip', 'horizontal', 50.0, false, 'caution'],
                ['above', 'flashing', 'horizontal', 100.0, false, 'pass'],
            ],
        ],
        'both go on over an arris at one end only: their other ends are measured, 50 of 75',
    ],
    'the same, lapped the wrong way' => [
        $thick([
            $sheet(),
            $pan(),
            ...$liners,
            piece(
                'flashing',
                'membrane',
                5,
                [
                    ['face', [0, 1000, 1000, 1200], ['joined' => ['h']]],
                    ['reveal-head', [0, 10, 1000, 100], ['joined' => ['h']]],
                ],
                ['role' => 'head-flashing'],
            ),
            piece('drip', 'metal', 6, [
                ['reveal-head', [0, 0, 1000, 60], ['joined' => ['d']]],
                ['outer-face', [0, 970, 1000, 1000], ['joined' => ['d'], 'drain' => true]],
            ]),
            $above(1100),
            $board(),
        ]),
        ['top:face@500' => ['wets substrate', 'fail', 0]],
        'in behind the metal at its open inner edge, and the membrane ends there over nothing',
    ],

    'the pan drains down the sheathing' => [
        $thick([...$inner, $board(), $second()]),
        ['unit:sill@500' => ['shed', 'pass', null], 'unit:jamb-left@60' => ['shed', 'pass', null]],
        'down its leg behind the board; the second pan has no part in it',
    ],
    'behind a strip bonded at the outer end of the pan' => [
        $thick([
            ...$inner,
            $board(),
            $second(),
            piece('strip', 'membrane', 12, [['sill', [0, 0, 1000, 50], ['edges' => ['top' => 'open']]]]),
        ]),
        ['unit:sill@500' => ['trapped', 'fail', 0]],
        'in at its open inner end; it ends at the arris, bonded, and holds the water in, though the pan goes on down',
    ],
    'the pan goes on over the second pan' => [
        $thick([
            $sheet(),
            ...$liners,
            $above(1000),
            $board(),
            $second(),
            ['step' => 12] + $pan([['reveal-sill', [0, 60, 1000, 100], ['joined' => ['p']]]]),
        ]),
        ['unit:sill@500' => ['shed', 'pass', null]],
        'over the board’s edge and off its own onto the second pan',
    ],
    'the pan goes on over a bare cut edge' => [
        $thick([
            $sheet(),
            ...$liners,
            $above(1000),
            $board(),
            ['step' => 12] + $pan([['reveal-sill', [0, 60, 1000, 100], ['joined' => ['p']]]]),
        ]),
        ['unit:sill@500' => ['wets substrate', 'fail', 0]],
        'off its edge onto the board',
    ],
    'the second pan bonded over the pan' => [
        $thick([...$inner, $board(), $second([['sill', [0, 0, 1000, 30], ['joined' => ['s']]]])]),
        ['unit:sill@500' => ['relies on bond', 'note', null]],
        'onto the second pan by its bond; if that lets go the water is on the pan behind it, and down its leg: no failure does harm',
    ],
    'a strip over the bonded end of the second pan' => [
        $thick([
            ...$inner,
            $board(),
            $second([['sill', [0, 0, 1000, 30], ['joined' => ['s']]]]),
            piece('strip', 'membrane', 12, [['sill', [0, 0, 1000, 60]]]),
        ]),
        ['unit:sill@500' => ['relies on bond', 'caution', 1]],
        'onto the strip by its bond; if that lets go the water is between strip and second pan, and the strip’s outer end is bonded down',
    ],
    'the second pan under the pan, which has a leg' => [
        $thick([
            $sheet(),
            $board(1),
            ['step' => 2] + $second([['sill', [0, 0, 1000, 30], ['joined' => ['s']]]]),
            ['step' => 3] + $pan(),
            $above(1000),
        ]),
        ['unit:sill@500' => ['shed', 'pass', null]],
        'on the pan, and where that folds down the water goes with it',
    ],
    'a pan that ends at the arris, over the second pan' => [
        $thick([
            $sheet(),
            $board(1),
            ['step' => 2] + $second([['sill', [0, 0, 1000, 30], ['joined' => ['s']]]]),
            piece('pan', 'formable', 3, [['sill', [0, 0, 1000, 140]]], ['role' => 'pan']),
            $above(1000),
        ]),
        ['unit:sill@500' => ['shed', 'pass', null]],
        'it drops onto the second pan, which goes on out',
    ],

    'what runs on a unit with a flange, over a second pan' => [
        $thick([...$inner, $flange(), $board(), $second()]),
        ['top:face@500' => ['shed', 'pass', null], 'face:face@500' => ['shed', 'pass', null]],
        'off the course above onto the unit; at its foot some falls on the board’s cut edge, where the second pan leads it out, and some passes behind the board, over the flange and the pan’s leg',
    ],
    'what runs on a unit with a flange, over a bare cut edge' => [
        $thick([...$inner, $flange(), $board()]),
        ['top:face@500' => ['wets substrate', 'fail', 0], 'top:face@-200' => ['shed', 'pass', null]],
        'what falls on the board’s cut edge wets it; the worse of the two branches is told. Beside the opening nothing falls there',
    ],
    'what runs on a unit with a flange, no board yet' => [
        $thick([...$inner, $flange()]),
        ['top:face@500' => ['shed', 'pass', null]],
        'down over the flange onto the pan’s leg, as in one plane',
    ],
    'what runs on a unit with a flange, half a second pan' => [
        $thick([
            ...$inner,
            $flange(),
            $board(),
            piece('second', 'membrane', 11, [
                ['reveal-sill', [0, 0, 500, 100], ['joined' => ['s']]],
                ['outer-face', [0, -50, 500, 0], ['joined' => ['s']]],
            ]),
        ]),
        ['top:face@250' => ['shed', 'pass', null], 'top:face@750' => ['wets substrate', 'fail', 0]],
        'strip by strip',
    ],
    'a strip bonded over the foot of the flange' => [
        $thick([...$inner, $flange(), one('apron', 'membrane', 6, [0, -60, 1000, 10]), $board(), $second()]),
        ['top:face@500' => ['relies on bond', 'caution', 1]],
        'onto the strip by its bond, and from there onto the second pan or down behind the board; if the bond lets go the water is behind the strip, whose foot is bonded too',
    ],
    'behind a strip over the foot of the flange nothing reaches the board’s edge' => [
        $thick([...$inner, $flange(), one('apron', 'sheet', 6, [0, -60, 1000, 10]), $board()]),
        ['top:face@500' => ['recovered', 'note', null]],
        'in behind it at its open top and out again below, at the sheathing all the way',
    ],

    'corners: a pan that goes on out over the board’s edge' => [
        $thick([
            $sheet(),
            $board(1),
            ['step' => 3] +
            $pan([
                ['reveal-sill', [0, 0, 1000, 100], ['joined' => ['p']]],
                ['reveal-jamb-left', [0, 0, 100, 50], ['joined' => ['p']]],
                ['reveal-jamb-right', [0, 0, 100, 50], ['joined' => ['p']]],
            ]),
        ]),
        ['corners' => ['bottom-left' => 'pass', 'bottom-right' => 'pass']],
        'sill, jamb and the reveal in one: there is no outer corner at the sheathing',
    ],
    'corners: a sill piece alone' => [
        $thick([$sheet(), $board(1), $pan([['reveal-sill', [0, 0, 1000, 100]]])]),
        ['corners' => ['bottom-left' => 'fail', 'bottom-right' => 'fail']],
        'cut at the arris of the sheathing, a pinhole is left',
    ],
    'a lined reveal over the upturn of the second pan' => [
        $thick(
            [
                ...$inner,
                $board(),
                $second([['reveal-jamb-left', [0, 0, 100, 50], ['joined' => ['s']]]]),
                piece('reveal', 'membrane', 12, [['reveal-jamb-left', [0, 20, 100, 1000]]]),
            ],
            [
                'penetrations' => [
                    [
                        'id' => 'hook',
                        'facet' => 'reveal-jamb-left',
                        'rect' => [40, 500, 60, 520],
                        'sealed_to' => ['reveal'],
                    ],
                ],
            ],
        ),
        ['penetration:reveal-jamb-left@50' => ['relies on seal', 'caution', 1]],
        'round the hook by its seal, off the lining onto the upturn, and out over the pan; past the seal it would be on the board’s edge',
    ],
    'a lined reveal sealed to the second pan at its foot, either side' => [
        $thick(
            [
                ...$inner,
                $board(),
                $second(),
                piece(
                    'left',
                    'membrane',
                    12,
                    [['reveal-jamb-left', [0, 0, 100, 1000]]],
                    ['edges' => ['bottom' => 'sealed']],
                ),
                piece(
                    'right',
                    'membrane',
                    12,
                    [['reveal-jamb-right', [0, 0, 100, 1000]]],
                    ['edges' => ['bottom' => 'sealed']],
                ),
            ],
            [
                'penetrations' => [
                    ['id' => 'a', 'facet' => 'reveal-jamb-left', 'rect' => [40, 500, 60, 520], 'sealed_to' => ['left']],
                    [
                        'id' => 'b',
                        'facet' => 'reveal-jamb-right',
                        'rect' => [40, 500, 60, 520],
                        'sealed_to' => ['right'],
                    ],
                ],
            ],
        ),
        [
            'penetration:reveal-jamb-left@50' => ['relies on seal', 'caution', 1],
            'penetration:reveal-jamb-right@50' => ['relies on seal', 'caution', 1],
        ],
        'the seal along the arris carries it onto the pan',
    ],
    'a pan that ends at the arris, half of it over a second pan' => [
        $thick(
            [
                $sheet(),
                $board(1),
                ['step' => 2] +
                piece('second', 'membrane', 2, [
                    ['reveal-sill', [0, 0, 500, 100], ['joined' => ['s']]],
                    ['outer-face', [0, -50, 500, 0], ['joined' => ['s']]],
                    ['sill', [0, 0, 500, 30], ['joined' => ['s']]],
                ]),
                piece('pan', 'formable', 3, [['sill', [0, 0, 1000, 140]]], ['role' => 'pan']),
                $above(1000),
            ],
            ['tolerant' => ['reveal-sill']],
        ),
        ['unit:sill@250' => ['shed', 'pass', null], 'unit:sill@750' => ['wets substrate', 'fail', 0]],
        'where nothing leads it out it falls behind the board, onto the sheathing, which bears no water whatever the board bears',
    ],
    'a lined reveal that only meets the second pan' => [
        $thick(
            [
                ...$inner,
                $board(),
                $second(),
                piece('reveal', 'membrane', 12, [['reveal-jamb-left', [0, 0, 100, 1000]]]),
            ],
            [
                'penetrations' => [
                    [
                        'id' => 'hook',
                        'facet' => 'reveal-jamb-left',
                        'rect' => [40, 500, 60, 520],
                        'sealed_to' => ['reveal'],
                    ],
                ],
            ],
        ),
        ['penetration:reveal-jamb-left@50' => ['wets substrate', 'fail', 0]],
        'in at the joint between the two',
    ],
];
