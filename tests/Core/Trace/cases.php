<?php

declare(strict_types=1);

// Cases of the rain trace and of the other checks, written with their reasons before the code that computes them. Each:
// what is built, and what must come of it. Facts of the trade in the reasons are common practice.
//
// Build: `wall()` is one upright facet 1000 × 1000; `opening()` a 1000 × 1000 opening in a face with a margin of 500
// and a return of 140. Expect: 'top@u' => [outcome, severity, lines] is the release at the top of the face in the strip
// at u; 'face@u' the worst of those just under each interval; 'unit:facet@u' the unit's; 'penetration@u', 'fastener@u'.
// 'laps', 'joints', 'corners', 'head', 'sill', 'air' are checks.

require_once __DIR__.'/Support.php';

$full = [0, 0, 1000, 1000];
$upper = [0, 450, 1000, 1000];
$lower = [0, 0, 1000, 550];

// A sound opening to vary: sheet over the whole face below and beside, its flap above the head strip, a pan with
// upturns, liners, a flanged unit.
$sheet = fn (array $more = []) => piece(
    'sheet',
    'sheet',
    1,
    [
        ['face', [-500, -500, 1500, 0], ['joined' => ['f']]],
        ['face', [-500, 0, 0, 1100], ['joined' => ['f']]],
        ['face', [1000, 0, 1500, 1100], ['joined' => ['f']]],
    ],
    ['role' => 'plane', 'air' => true, 'air_layer' => true] + $more,
);
$above = fn (int $step = 7) => piece(
    'above',
    'sheet',
    $step,
    [['face', [-500, 1050, 1500, 1500]]],
    ['role' => 'plane', 'air' => true],
);
$pan = fn (array $more = [], int $step = 2) => piece(
    'pan',
    'formable',
    $step,
    [
        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
        ['jamb-left', [0, 0, 140, 150], ['joined' => ['p']]],
        ['jamb-right', [0, 0, 140, 150], ['joined' => ['p']]],
        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
        ['face', [-75, 0, 0, 150], ['joined' => ['p']]],
        ['face', [1000, 0, 1075, 150], ['joined' => ['p']]],
    ],
    ['role' => 'pan', 'air' => true] + $more,
);
$liners = fn (int $step = 3) => [
    piece(
        'liner-left',
        'membrane',
        $step,
        [['jamb-left', [0, 75, 140, 1000], ['joined' => ['l']]], ['face', [-75, 75, 0, 1000], ['joined' => ['l']]]],
        ['air' => true],
    ),
    piece(
        'liner-right',
        'membrane',
        $step,
        [
            ['jamb-right', [0, 75, 140, 1000], ['joined' => ['r']]],
            ['face', [1000, 75, 1075, 1000], ['joined' => ['r']]],
        ],
        ['air' => true],
    ),
];
$unit = fn (array $edges = [], int $step = 4) => one(
    'unit',
    'unit',
    $step,
    [-25, -25, 1025, 1025],
    [
        'air' => true,
        'edges' => $edges + ['left' => 'sealed', 'right' => 'sealed', 'top' => 'sealed', 'bottom' => 'open'],
    ],
);
$jambs = fn (int $step = 5, float $foot = 0) => [
    one('jamb-left', 'membrane', $step, [-140, $foot, 10, 1050]),
    one('jamb-right', 'membrane', $step, [990, $foot, 1140, 1050]),
];
$head = fn (int $step = 6, array $rect = [-190, 990, 1190, 1200]) => one('head', 'membrane', $step, $rect, [
    'role' => 'head-flashing',
]);
$joints = [
    'sill' => ['outer' => 'open', 'insulation' => true, 'inner' => true],
    'head' => ['outer' => 'open', 'insulation' => true, 'inner' => true],
    'jamb-left' => ['outer' => 'open', 'insulation' => true, 'inner' => true],
    'jamb-right' => ['outer' => 'open', 'insulation' => true, 'inner' => true],
];
$set = [
    'unit' => ['z' => [0, 80], 'flange' => 'unit', 'joints' => $joints],
    'least_laps' => [
        ['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150],
        ['outer' => 'sheet', 'inner' => 'membrane', 'horizontal_mm' => 100],
        ['outer' => 'membrane', 'inner' => 'membrane', 'horizontal_mm' => 50, 'end_mm' => 50],
    ],
    'pan_upturn_mm' => 150,
];
$sound = [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $head(), $above()];

return [
    // --- every outcome, on one facet ---------------------------------------------------------------------------------
    'shed: one sheet to the foot' => [
        wallDetail([one('a', 'sheet', 1, $full)]),
        ['top@500' => ['shed', 'pass', null]],
        'water runs down the outside of one sheet and leaves at the foot with nothing over it',
    ],
    'shed: shingled sheets' => [
        wallDetail([one('low', 'sheet', 1, $lower), one('up', 'sheet', 2, $upper)]),
        ['top@500' => ['shed', 'pass', null], 'face@500' => ['shed', 'pass', null]],
        'the upper laps over the lower: it is dropped onto what goes on below',
    ],
    'wets: nothing there' => [
        wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'the sheet ends and nothing goes on below: bare substrate at once',
    ],
    'wets: strip beside the sheet' => [
        wallDetail([one('a', 'sheet', 1, [0, 0, 600, 1000])]),
        ['top@300' => ['shed', 'pass', null], 'top@800' => ['wets substrate', 'fail', 0]],
        'strips are traced each for itself',
    ],
    'tolerant: nothing there' => [
        wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])], ['tolerant' => ['face']]),
        ['top@500' => ['wets substrate', 'note', null]],
        'coated masonry bears it: wet all the same, and a note',
    ],
    'behind: reversed open lap, let out' => [
        wallDetail([one('up', 'sheet', 1, $upper), one('low', 'sheet', 2, $lower)]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'jamb before sill, sheet lapped the wrong way: water gets behind the lower at its open top, the upper ends, and behind it is bare wall',
    ],
    'recovered: behind a skirt over a whole sheet' => [
        wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 300, 1000, 600])]),
        ['top@500' => ['recovered', 'note', null]],
        'in at the skirt’s open top, out at its open foot, on the sheet all the while',
    ],
    'relies on bond: strip bonded over a whole sheet' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('strip', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']]),
        ]),
        ['top@500' => ['relies on bond', 'note', null]],
        'if the bond fails the water is behind the strip, on the sheet, and out at its open foot: no failure of an edge does harm',
    ],
    'relies on bond: and trapped if it fails' => [
        wallDetail([one('a', 'sheet', 1, $full), one('strip', 'membrane', 2, [0, 300, 1000, 600])]),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'behind a strip bonded all round it cannot get out: one bond is the only defence',
    ],
    'relies on seal' => [
        wallDetail([one('a', 'sheet', 1, $full), one('coat', 'fluid', 2, [0, 300, 1000, 600])]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'the same of a coat: a seal',
    ],
    'two lines of defence' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('inner', 'membrane', 2, [0, 200, 1000, 600]),
            one('outer', 'membrane', 3, [0, 200, 1000, 700], ['edges' => ['bottom' => 'open']]),
        ]),
        ['top@500' => ['relies on bond', 'note', 2]],
        'the outer bond must fail and then the inner one before water is trapped',
    ],
    'trapped: bonded foot' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('skirt', 'sheet', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'adhered']]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'in at the open top, held in by the bonded foot',
    ],
    'trapped: sealed at the foot of the facet' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('skirt', 'sheet', 2, [0, 0, 1000, 600], ['edges' => ['bottom' => 'sealed']]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'at the foot of a facet with no fold, behind something sealed along it',
    ],
    'recovered: open at the foot of the facet' => [
        wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 0, 1000, 600])]),
        ['top@500' => ['recovered', 'note', null]],
        'at the foot, behind something open',
    ],
    'a gap in the seal lets it out' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one(
                'skirt',
                'sheet',
                2,
                [0, 300, 1000, 600],
                [
                    'edges' => [
                        'bottom' => [
                            ['from' => 0, 'to' => 400, 'edge' => 'sealed'],
                            ['from' => 600, 'to' => 1000, 'edge' => 'sealed'],
                        ],
                    ],
                ],
            ),
        ]),
        [
            'top@500' => ['recovered', 'note', null],
            'top@150' => ['recovered', 'note', null],
            'top@50' => ['trapped', 'fail', 0],
        ],
        'sealed but for a gap: out at the gap, and within 300 mm of it; farther off it is trapped',
    ],
    'shielded: an outer sheet goes on past' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('skirt', 'sheet', 2, [0, 300, 1000, 600]),
            one('over', 'sheet', 3, [0, 100, 1000, 800]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'behind both: the outer goes on past the inner’s foot and shields it',
    ],

    'where a strip begins just where the sheet is joined: the sheet below is the same sheet' => [
        wallDetail([
            piece('a', 'sheet', 1, [
                ['face', [0, 0, 1000, 500], ['joined' => ['f']]],
                ['face', [0, 500, 1000, 1000], ['joined' => ['f']]],
            ]),
            one('strip', 'membrane', 2, [0, 300, 1000, 500]),
        ]),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'the upper part of the sheet goes on in the lower, inboard of the strip: nothing lies between the water and the strip’s top edge',
    ],
    'the same, listed from above' => [
        wallDetail([
            piece('a', 'sheet', 1, [
                ['face', [0, 500, 1000, 1000], ['joined' => ['f']]],
                ['face', [0, 0, 1000, 500], ['joined' => ['f']]],
            ]),
            one('strip', 'membrane', 2, [0, 300, 1000, 500]),
        ]),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'in whatever order its parts are listed',
    ],
    'under a flap and over the sheet beside it' => [
        wallDetail([
            piece('s', 'sheet', 1, [
                ['face', [0, 0, 1000, 500], ['joined' => ['f']]],
                ['face', [0, 500, 200, 1000], ['joined' => ['f', 'g']]],
                ['face', [200, 500, 1000, 1000], ['joined' => ['g'], 'step' => 3]],
            ]),
            one('strip', 'membrane', 2, [300, 400, 900, 600]),
        ]),
        ['top@600' => ['shed', 'pass', null]],
        'the strip passes through the cut between flap and sheet: the flap is joined at its side only; it sheds over the strip, and the strip over the sheet',
    ],

    // --- butt joints -------------------------------------------------------------------------------------------------
    'butt joint: open to the wall' => [
        wallDetail([one('up', 'sheet', 1, [0, 500, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 500])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'a lap of nothing: the joint lets it to the substrate',
    ],
    'butt joint: cured by a lap' => [
        wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 600]), one('up', 'sheet', 2, [0, 500, 1000, 1000])]),
        ['top@500' => ['shed', 'pass', null]],
        'the same lapped 100 mm',
    ],
    'butt joint: sealed' => [
        wallDetail([one('up', 'fluid', 1, [0, 500, 1000, 1000]), one('low', 'fluid', 2, [0, 0, 1000, 500])]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'a sealed edge of either carries it over, and nothing is behind it',
    ],
    'butt joint: over a sheet that goes on' => [
        wallDetail([
            one('back', 'sheet', 1, $full),
            one('up', 'board', 2, [0, 500, 1000, 1000]),
            one('low', 'board', 3, [0, 0, 1000, 500]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'boards butted over a sheet: the sheet takes it, the lower board’s open top lets it in, and at the foot it is out',
    ],
    'butt joint: taped' => [
        wallDetail([
            one('up', 'board', 1, [0, 500, 1000, 1000]),
            one('low', 'board', 1, [0, 0, 1000, 500]),
            one('tape', 'tape', 2, [0, 450, 1000, 550]),
        ]),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'the tape’s top edge carries it over; if it lets go the joint is open to the wall',
    ],

    // --- drain edges, joined patches, tucking ------------------------------------------------------------------------
    'drain: a drip over nothing' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('drip', 'metal', 2, [0, 400, 1000, 600], ['edges' => ['top' => 'sealed']], ['drain' => true]),
        ]),
        ['top@500' => ['relies on seal', 'note', null]],
        'over the sealed top, and away at the drip: if the seal fails it is behind the metal and out at its foot',
    ],
    'drain: covered by something that goes on' => [
        wallDetail([
            one('a', 'sheet', 1, $full, [], []),
            one('drip', 'metal', 2, [0, 400, 1000, 1000], [], ['drain' => true]),
            one('over', 'sheet', 3, [0, 100, 1000, 700]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'a drip behind a sheet that goes on past it is an ordinary end: onto the sheet below, and out at the cover’s foot',
    ],
    'joined: no edge where patches of a piece meet joined' => [
        wallDetail([
            piece('a', 'membrane', 1, [
                ['face', [0, 500, 1000, 1000], ['joined' => ['x']]],
                ['face', [0, 0, 1000, 500], ['joined' => ['x']]],
            ]),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'splitting a patch into two joined ones changes nothing',
    ],
    'slit: not joined' => [
        wallDetail([piece('a', 'membrane', 1, [['face', [0, 500, 1000, 1000]], ['face', [0, 0, 1000, 500]]])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'unmarked there is a slit; a bonded edge does not carry over a butt joint',
    ],
    'tuck: later piece under the sheet' => [
        wallDetail([
            one('sheet', 'sheet', 1, [0, 500, 1000, 1000]),
            one('apron', 'metal', 2, [0, 0, 1000, 700], ['under' => 'sheet']),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'tucked under the sheet’s open foot it is lapped the right way though it came later',
    ],
    'tuck forgotten' => [
        wallDetail([one('sheet', 'sheet', 1, [0, 500, 1000, 1000]), one('apron', 'metal', 2, [0, 0, 1000, 700])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'flap forgotten: the metal’s open top takes the water behind it',
    ],
    'upside down: strip whose top is open and foot bonded' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('s', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['top' => 'open']]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'patch upside down: catches water and keeps it',
    ],
    'upside down: cured' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('s', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']]),
        ]),
        ['top@500' => ['relies on bond', 'note', null]],
        'bonded at the top, open at the foot',
    ],

    // --- penetrations and fasteners ----------------------------------------------------------------------------------
    'pipe: sealed to the sheet' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            [
                'penetrations' => [
                    ['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['a']],
                ],
            ],
        ),
        [
            'top@500' => ['relies on seal', 'caution', 1],
            'top@100' => ['shed', 'pass', null],
            'penetration@500' => ['relies on seal', 'caution', 1],
        ],
        'round the pipe and on, by the seal alone',
    ],
    'pipe: not sealed' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600]]]],
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'along the pipe past the last patch: wet',
    ],
    'pipe: collar over the sheet' => [
        wallDetail(
            [
                one('a', 'sheet', 1, $full),
                one('collar', 'membrane', 2, [300, 300, 700, 700], ['edges' => ['bottom' => 'open']]),
            ],
            [
                'penetrations' => [
                    ['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['collar']],
                ],
            ],
        ),
        ['top@500' => ['relies on bond', 'caution', 1]],
        'the collar’s bond, then its seal to the pipe: if the seal fails it runs along the pipe to the sheet, which is not sealed, and past it: one failure is enough',
    ],
    'pipe: both sealed' => [
        wallDetail(
            [
                one('a', 'sheet', 1, $full),
                one('collar', 'membrane', 2, [300, 300, 700, 700], ['edges' => ['bottom' => 'open']]),
            ],
            [
                'penetrations' => [
                    ['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['collar', 'a']],
                ],
            ],
        ),
        ['top@500' => ['relies on bond', 'note', 2]],
        'two seals must fail: behind the collar the sheet is sealed too',
    ],
    'screw: made for the sheet' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            [
                'fasteners' => [
                    ['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['a'], 'made_for' => ['a']],
                ],
            ],
        ),
        ['fastener' => null],
        'no release at a fastener that is made for what it goes through',
    ],
    'screw: not made for it' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            [
                'fasteners' => [
                    ['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['a'], 'made_for' => []],
                ],
            ],
        ),
        ['fastener@300' => ['wets substrate', 'fail', 0]],
        'it leaks along the shank to what is behind: the wall',
    ],
    'screw: through the board, sheet behind untouched' => [
        wallDetail(
            [one('a', 'sheet', 1, $full), one('b', 'board', 2, $full)],
            [
                'fasteners' => [
                    ['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['b'], 'made_for' => []],
                ],
            ],
        ),
        ['fastener@300' => ['recovered', 'note', null]],
        'onto the sheet behind the board, and out at the foot',
    ],

    // --- folds -------------------------------------------------------------------------------------------------------
    'fold: roof onto wall, folded membrane' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
            'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 1000]],
            'release' => 'roof',
            'pieces' => [
                one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
                piece('roofing', 'membrane', 2, [
                    ['roof', [0, 0, 1000, 500], ['joined' => ['e']]],
                    ['face', [0, 900, 1000, 1000], ['joined' => ['e']]],
                ]),
            ],
        ],
        ['top@500' => ['shed', 'pass', null]],
        'the membrane folded down over the edge drops it on the sheet',
    ],
    'fold: membrane stops at the edge' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
            'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 1000]],
            'release' => 'roof',
            'pieces' => [
                one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
                piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500]]]),
            ],
        ],
        ['top@500' => ['wets substrate', 'fail', 0]],
        'a butt joint at the arris: neither edge is sealed',
    ],
    'fold: base flashing to the ledge' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => [
                'face' => ['u' => [0, 1000], 'v' => [0, 1000]],
                'ledge' => ['u' => [0, 1000], 'v' => [0, 100]],
            ],
            'folds' => [['from' => 'face', 'to' => 'ledge', 'at_v' => 100]],
            'release' => 'face',
            'pieces' => [
                piece('flashing', 'metal', 1, [
                    ['face', [0, 0, 1000, 200], ['joined' => ['b']]],
                    ['ledge', [0, 0, 1000, 100], ['joined' => ['b'], 'drain' => true]],
                ]),
                one('sheet', 'sheet', 2, [0, 100, 1000, 1000]),
            ],
        ],
        ['top@500' => ['shed', 'pass', null]],
        'sheet over the upstand, out over the ledge at the drip',
    ],

    // --- openings ----------------------------------------------------------------------------------------------------
    'opening: sound' => [
        openingDetail($sound, [], $set),
        [
            'top@500' => ['shed', 'pass', null],
            'top@-400' => ['shed', 'pass', null],
            'unit:sill@500' => ['recovered', 'note', null],
            'unit:jamb-left@40' => ['recovered', 'note', null],
            'corners' => [
                'bottom-left' => 'pass',
                'bottom-right' => 'pass',
                'top-left' => 'note',
                'top-right' => 'note',
            ],
            'sill' => [
                'outer_joint' => 'pass',
                'inner_seal' => 'pass',
                'pitch' => 'pass',
                'end_dams' => 'pass',
                'pan_upturn' => 'pass',
            ],
            'head' => ['head' => 'pass'],
            'air' => ['sill' => true, 'jamb-left' => true, 'jamb-right' => true],
        ],
        'over sheet, head strip, unit, and out; what leaks at the unit runs on liner and pan out under the open flange',
    ],
    'opening: head strip over the sheet' => [
        openingDetail([$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $above(6), $head(7)], [], $set),
        ['top@500' => ['relies on bond', 'caution', 1], 'head' => ['head' => 'caution']],
        'reverse lap at the head: only the strip’s bond keeps water from behind it',
    ],
    'opening: bottom flange sealed' => [
        openingDetail(
            [$sheet(), $pan(), ...$liners(), $unit(['bottom' => 'sealed']), ...$jambs(), $head(), $above()],
            [],
            $set,
        ),
        ['unit:sill@500' => ['trapped', 'fail', 0], 'sill' => ['outer_joint' => 'fail']],
        'the pan is a bath',
    ],
    'opening: bottom flange sealed but for two gaps' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                ...$liners(),
                $unit([
                    'bottom' => [
                        ['from' => -25, 'to' => 200, 'edge' => 'sealed'],
                        ['from' => 250, 'to' => 750, 'edge' => 'sealed'],
                        ['from' => 800, 'to' => 1025, 'edge' => 'sealed'],
                    ],
                ]),
                ...$jambs(),
                $head(),
                $above(),
            ],
            [],
            $set,
        ),
        ['unit:sill@500' => ['recovered', 'note', null], 'sill' => ['outer_joint' => 'pass']],
        'sealed but for two gaps within 300 mm of everything',
    ],
    'opening: outer sill joint sealed' => [
        openingDetail(
            $sound,
            [],
            array_replace_recursive($set, ['unit' => ['joints' => ['sill' => ['outer' => 'sealed']]]]),
        ),
        ['sill' => ['outer_joint' => 'fail'], 'unit:sill@500' => ['trapped', 'fail', 0]],
        'caulked sill joint: what the unit leaks stands behind it',
    ],
    'opening: no inner seal' => [
        openingDetail(
            $sound,
            [],
            array_replace_recursive($set, ['unit' => ['joints' => ['sill' => ['inner' => false]]]]),
        ),
        ['sill' => ['inner_seal' => 'fail']],
        'the inner joint carries the air seal',
    ],
    'opening: pan without end dams' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan', 'air' => true],
                ),
                piece('liner-left', 'membrane', 3, [
                    ['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]],
                    ['face', [-75, 0, 0, 1000], ['joined' => ['l']]],
                ]),
                $liners()[1],
                $unit(),
                ...$jambs(),
                $head(),
                $above(),
            ],
            [],
            $set,
        ),
        [
            'unit:jamb-left@40' => ['wets substrate', 'fail', 0],
            'sill' => ['end_dams' => 'fail', 'pan_upturn' => 'fail'],
            'corners' => ['bottom-left' => 'fail', 'bottom-right' => 'fail'],
        ],
        'at the corner liner and pan only meet: water goes between them',
    ],
    'opening: low upturn' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['jamb-left', [0, 0, 140, 90], ['joined' => ['p']]],
                        ['jamb-right', [0, 0, 140, 60], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                        ['face', [-75, 0, 0, 90], ['joined' => ['p']]],
                        ['face', [1000, 0, 1075, 60], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
            ],
            [],
            ['pan_upturn_mm' => 150],
        ),
        ['sill' => ['pan_upturn' => 'fail', 'end_dams' => 'pass']],
        '60 of 150 is less than half',
    ],
    'opening: upturn between half and all' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['jamb-left', [0, 0, 140, 90], ['joined' => ['p']]],
                        ['jamb-right', [0, 0, 140, 100], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
            ],
            [],
            ['pan_upturn_mm' => 150],
        ),
        ['sill' => ['pan_upturn' => 'caution']],
        '90 of 150',
    ],
    'opening: pan of flat membrane' => [
        openingDetail(
            [
                $sheet(),
                $pan(['kind' => 'membrane', 'material' => 'membrane-sbs']),
                ...$liners(),
                $unit(),
                ...$jambs(),
                $head(),
                $above(),
            ],
            [],
            $set,
        ),
        ['corners' => ['bottom-left' => 'fail', 'bottom-right' => 'fail']],
        'slit corner without patch: a flat piece would need more material than it has',
    ],
    'opening: flat pan with corner patches' => [
        openingDetail(
            [
                $sheet(),
                $pan(['kind' => 'membrane', 'material' => 'membrane-sbs']),
                piece('bow-left', 'corner', 3, [
                    ['sill', [0, 0, 75, 140], ['joined' => ['c']]],
                    ['jamb-left', [0, 0, 140, 75], ['joined' => ['c']]],
                    ['face', [-75, -75, 75, 0], ['joined' => ['c']]],
                    ['face', [-75, 0, 0, 75], ['joined' => ['c']]],
                ]),
                piece('bow-right', 'corner', 3, [
                    ['sill', [925, 0, 1000, 140], ['joined' => ['c']]],
                    ['jamb-right', [0, 0, 140, 75], ['joined' => ['c']]],
                    ['face', [925, -75, 1075, 0], ['joined' => ['c']]],
                    ['face', [1000, 0, 1075, 75], ['joined' => ['c']]],
                ]),
                ...$liners(4),
                $unit([], 5),
                ...$jambs(6),
                $head(7),
                $above(8),
            ],
            [],
            $set,
        ),
        ['corners' => ['bottom-left' => 'pass', 'bottom-right' => 'pass']],
        'a bow-tie at each lower corner',
    ],
    'opening: corner patch not joined' => [
        openingDetail([
            $sheet(),
            piece('bow-left', 'corner', 2, [
                ['sill', [0, 0, 75, 140], ['joined' => ['c']]],
                ['jamb-left', [0, 0, 140, 75]],
                ['face', [-75, -75, 75, 0], ['joined' => ['c']]],
            ]),
        ]),
        ['corners' => ['bottom-left' => 'fail']],
        'cut at the arris it is three pieces',
    ],
    'opening: upper corner bare' => [
        openingDetail([$sheet(), $pan()]),
        ['corners' => ['top-left' => 'fail', 'top-right' => 'fail']],
        'nothing shields it',
    ],
    'opening: sill pitched in, no dam' => [
        openingDetail($sound, ['sill_pitch' => 'in', 'back_dam_mm' => 0], $set),
        ['unit:sill@500' => ['enters inside', 'fail', 0], 'sill' => ['pitch' => 'fail']],
        'sill pitched in: water runs to the room',
    ],
    'opening: sill pitched in, dam high enough' => [
        openingDetail($sound, ['sill_pitch' => 'in', 'back_dam_mm' => 41], $set),
        ['unit:sill@500' => ['ponds', 'caution', null]],
        'the dam holds head and fall, 31 + 10',
    ],
    'opening: level sill, low dam' => [
        openingDetail($sound, ['sill_pitch' => 'level', 'sill_fall_mm' => 0, 'back_dam_mm' => 25], $set),
        ['unit:sill@500' => ['enters inside', 'fail', 0], 'sill' => ['pitch' => 'caution']],
        'water stands, and wind lifts it 31 mm over a dam of 25',
    ],
    'opening: level sill, dam high enough' => [
        openingDetail($sound, ['sill_pitch' => 'level', 'sill_fall_mm' => 0, 'back_dam_mm' => 35], $set),
        ['unit:sill@500' => ['ponds', 'caution', null]],
        'water stands, and goes on outward',
    ],
    'opening: pitched out, fall and dam less than the head' => [
        openingDetail($sound, ['sill_fall_mm' => 5, 'back_dam_mm' => 0], $set),
        ['sill' => ['pitch' => 'caution']],
        '5 + 0 is less than 31',
    ],
    'opening: no unit yet, water drips onto the pan' => [
        openingDetail([$sheet(), $pan(), ...$liners(), one('above', 'sheet', 4, [-500, 1000, 1500, 1500])]),
        ['top@500' => ['shed', 'pass', null]],
        'off the arris onto the outer end of the sill, and out over the pan’s leg',
    ],
    'opening: no unit, bare sill' => [
        openingDetail([$sheet(), one('above', 'sheet', 4, [-500, 1000, 1500, 1500])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'it drips onto bare wood',
    ],
    'opening: flange over the head joint, sheet cut at the head' => [
        openingDetail(
            [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), one('above', 'sheet', 3, [-500, 1000, 1500, 1500])],
            [],
            $set,
        ),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'no head strip: the flange’s sealed top is all there is',
    ],
    'opening: flange not sealed at the head' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                ...$liners(),
                $unit(['top' => 'open']),
                ...$jambs(),
                one('above', 'sheet', 3, [-500, 1000, 1500, 1500]),
            ],
            [],
            $set,
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'behind the flange into the head joint',
    ],
    'jamb before sill' => [
        wallDetail([one('jamb', 'membrane', 1, [300, 200, 500, 1000]), one('sill', 'sheet', 2, [0, 0, 1000, 260])]),
        ['top@400' => ['wets substrate', 'fail', 0]],
        'the jamb strip’s water gets behind the sill sheet at its open top, and the strip ends',
    ],
    'sill before jamb' => [
        wallDetail([one('sill', 'sheet', 1, [0, 0, 1000, 260]), one('jamb', 'membrane', 2, [300, 200, 500, 1000])]),
        ['top@400' => ['shed', 'pass', null]],
        'the strip drops it onto the sill sheet',
    ],
    'under-sill sheet: lapped the wrong way' => [
        wallDetail([
            one('under-sill', 'sheet', 1, [0, 300, 1000, 800]),
            one('lower', 'sheet', 2, [0, 0, 1000, 500]),
            one('pan-leg', 'sheet', 3, [0, 700, 1000, 1000]),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'the lower course goes over its foot: its open top takes the water',
    ],
    'under-sill sheet: cured' => [
        wallDetail([
            one('lower', 'sheet', 1, [0, 0, 1000, 500]),
            one('under-sill', 'sheet', 2, [0, 300, 1000, 800]),
            one('pan-leg', 'sheet', 3, [0, 700, 1000, 1000]),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'the lower course goes under its foot',
    ],

    // --- laps --------------------------------------------------------------------------------------------------------
    'lap: horizontal, enough' => [
        wallDetail(
            [one('low', 'sheet', 1, [0, 0, 1000, 500]), one('up', 'sheet', 2, [0, 400, 1000, 1000])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => [['up', 'low', 'horizontal', 100.0, false, 'pass']]],
        'just the figure',
    ],
    'lap: horizontal, half or more' => [
        wallDetail(
            [one('low', 'sheet', 1, [0, 0, 1000, 450]), one('up', 'sheet', 2, [0, 400, 1000, 1000])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => [['up', 'low', 'horizontal', 50.0, false, 'caution']]],
        'half of it',
    ],
    'lap: horizontal, under half, reversed' => [
        wallDetail(
            [one('up', 'sheet', 1, [0, 400, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 449])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => [['low', 'up', 'horizontal', 49.0, true, 'fail']]],
        'reversed laps are measured too and marked',
    ],
    'lap: end' => [
        wallDetail(
            [one('left', 'sheet', 1, [0, 0, 600, 1000]), one('right', 'sheet', 2, [450, 0, 1000, 1000])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150]]],
        ),
        ['laps' => [['right', 'left', 'end', 150.0, false, 'pass']]],
        'side by side',
    ],
    'lap: a cover is none' => [
        wallDetail([one('a', 'sheet', 1, $full), one('patch', 'membrane', 2, [300, 300, 600, 600])]),
        ['laps' => []],
        'one within the other’s range',
    ],
    'lap: a third between is none' => [
        wallDetail(
            [
                one('low', 'sheet', 1, [0, 0, 1000, 500]),
                one('mid', 'sheet', 2, [0, 300, 1000, 600]),
                one('up', 'sheet', 3, [0, 400, 1000, 1000]),
            ],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        [
            'laps' => [
                ['mid', 'low', 'horizontal', 200.0, false, 'pass'],
                ['up', 'mid', 'horizontal', 200.0, false, 'pass'],
            ],
        ],
        'the two that touch are measured, not those the third keeps apart',
    ],
    'lap: staggered both ways' => [
        wallDetail(
            [one('low', 'sheet', 1, [0, 0, 700, 500]), one('up', 'sheet', 2, [300, 400, 1000, 1000])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150]]],
        ),
        ['laps' => [['up', 'low', 'horizontal', 100.0, false, 'pass']]],
        'wider than tall: horizontal',
    ],

    // --- upright joints ----------------------------------------------------------------------------------------------
    'joint: boards butted, nothing else' => [
        wallDetail([one('l', 'board', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000])]),
        ['joints' => [[500.0, [0.0, 1000.0], 'fail']]],
        'open to the substrate',
    ],
    'joint: taped' => [
        wallDetail([
            one('l', 'board', 1, [0, 0, 500, 1000]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
            one('t', 'tape', 2, [450, 0, 550, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'pass']]],
        'a patch lies across it outboard of both',
    ],
    'joint: sheet behind' => [
        wallDetail([
            one('s', 'sheet', 1, $full),
            one('l', 'board', 2, [0, 0, 500, 1000]),
            one('r', 'board', 2, [500, 0, 1000, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'note']]],
        'only inboard',
    ],
    'joint: one edge sealed' => [
        wallDetail([one('l', 'fluid', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000])]),
        ['joints' => [[500.0, [0.0, 1000.0], 'note']]],
        'a seal at one of the edges',
    ],
    'joint: tape stops short' => [
        wallDetail([
            one('l', 'board', 1, [0, 0, 500, 1000]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
            one('t', 'tape', 2, [450, 300, 550, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 300.0], 'fail'], [500.0, [300.0, 1000.0], 'pass']]],
        'each stretch for itself',
    ],
    'joint: slit of a flap under tape' => [
        wallDetail([
            piece('s', 'sheet', 1, [['face', [0, 0, 500, 1000]], ['face', [500, 0, 1000, 1000], ['step' => 3]]]),
            one('t', 'tape', 4, [425, 0, 575, 1000]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'pass']]],
        'a slit in one piece is such a line',
    ],
    'joint: joined, none' => [
        wallDetail([
            piece('s', 'sheet', 1, [
                ['face', [0, 0, 500, 1000], ['joined' => ['j']]],
                ['face', [500, 0, 1000, 1000], ['joined' => ['j']]],
            ]),
        ]),
        ['joints' => []],
        'no edge where patches are joined',
    ],

    // --- head and air ------------------------------------------------------------------------------------------------
    'head: strip longer than the flap' => [
        wallDetail([
            one('h', 'metal', 1, [100, 300, 900, 500], ['role' => 'head-flashing', 'edges' => ['top' => 'open']]),
            one('flap', 'sheet', 2, [200, 400, 800, 1000], ['role' => 'plane']),
        ]),
        ['head' => ['h' => 'fail']],
        'the worst over its length: at its ends nothing covers the top',
    ],
    'head: sealed top' => [
        wallDetail([
            one('a', 'sheet', 1, $full, ['role' => 'plane']),
            one('h', 'metal', 2, [100, 300, 900, 500], ['role' => 'head-flashing', 'edges' => ['top' => 'sealed']]),
        ]),
        ['head' => ['h' => 'note']],
        'not under the water plane: by its edge, sealed',
    ],
    'air: fastened lap is no contact' => [
        openingDetail(
            [$sheet(), one('unit', 'unit', 4, [-25, -25, 1025, 1025], ['air' => true])],
            [],
            [
                'unit' => [
                    'z' => [0, 80],
                    'flange' => 'unit',
                    'joints' => ['sill' => ['outer' => 'open', 'inner' => true]],
                ],
            ],
        ),
        ['air' => ['sill' => false, 'head' => false, 'jamb-left' => false, 'jamb-right' => false]],
        'an inner seal on bare wood: nothing joins it to the wall’s air layer',
    ],
    'air: sealed flange' => [
        openingDetail([$sheet(), $unit()], [], ['unit' => ['z' => [0, 80], 'flange' => 'unit']]),
        ['air' => ['sill' => false, 'jamb-left' => true, 'jamb-right' => true]],
        'the flange sealed to the air layer itself, but for its bottom',
    ],

    // --- added after a run that changed the code on purpose and found that no case minded ----------------------------
    'air: flange sealed at the head only' => [
        openingDetail(
            [
                $sheet(),
                one('band', 'membrane', 2, [-100, 900, 1100, 1100], ['air' => true]),
                $unit(['left' => 'open', 'right' => 'open'], 4),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
        ['air' => ['sill' => false, 'head' => true, 'jamb-left' => false, 'jamb-right' => false]],
        'the top of the flange lies on a band bonded to the air layer, from end to end',
    ],
    'air: band too short for the head' => [
        openingDetail(
            [
                $sheet(),
                one('band', 'membrane', 2, [-100, 900, 900, 1100], ['air' => true]),
                $unit(['left' => 'open', 'right' => 'open'], 4),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
        ['air' => ['head' => false]],
        'covered all along, or it is not reached',
    ],
    'air: outer seal at its own depth' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'lining',
                    'membrane',
                    2,
                    [
                        ['jamb-left', [0, 0, 30, 1000], ['joined' => ['a']]],
                        ['face', [-75, 0, 0, 1000], ['joined' => ['a']]],
                    ],
                    ['air' => true],
                ),
            ],
            [],
            [
                'unit' => [
                    'z' => [20, 100],
                    'joints' => [
                        'jamb-left' => ['outer' => 'sealed', 'inner' => true],
                        'jamb-right' => ['outer' => 'open', 'inner' => true],
                    ],
                ],
            ],
        ),
        ['air' => ['jamb-left' => true, 'jamb-right' => false]],
        'the outer seal at 20 lies on the lining, the inner at 100 beyond it',
    ],
    'corner: lining that stops above the sill' => [
        openingDetail([
            $sheet(),
            piece('bow', 'corner', 2, [
                ['sill', [0, 0, 75, 140], ['joined' => ['c']]],
                ['jamb-left', [0, 20, 140, 95], ['joined' => ['c']]],
                ['face', [-75, -75, 75, 0], ['joined' => ['c']]],
            ]),
        ]),
        ['corners' => ['bottom-left' => 'fail']],
        'its upright part does not reach the corner',
    ],
    'corner: patch set in from the face' => [
        openingDetail([
            $sheet(),
            piece('bow', 'corner', 2, [
                ['sill', [0, 10, 75, 140], ['joined' => ['c']]],
                ['jamb-left', [10, 0, 140, 75], ['joined' => ['c']]],
                ['face', [-75, -75, 75, 0], ['joined' => ['c']]],
            ]),
        ]),
        ['corners' => ['bottom-left' => 'fail']],
        'ten millimetres in, the arris is open',
    ],
    'lap: edge inside is joined on' => [
        wallDetail(
            [
                piece('low', 'sheet', 1, [
                    ['face', [0, 0, 1000, 300], ['joined' => ['j']]],
                    ['face', [0, 300, 500, 500], ['joined' => ['j']]],
                ]),
                one('up', 'sheet', 2, [0, 350, 500, 1000]),
                one('strip', 'sheet', 3, [0, 200, 400, 340]),
            ],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => [['up', 'low', 'horizontal', 150.0, false, 'pass']]],
        'the strip lies over the seam where the lower sheet goes on upward: there is no edge; only its true top laps',
    ],
    'lap: folded over the arris' => [
        openingDetail(
            [
                piece('sheet', 'sheet', 1, [
                    ['face', [-500, -500, 1500, 0], ['joined' => ['f']]],
                    ['sill', [0, 0, 1000, 140], ['joined' => ['f']]],
                ]),
                one('strip', 'membrane', 2, [0, -60, 1000, 500]),
            ],
            [],
            ['least_laps' => [['outer' => 'membrane', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => []],
        'the sheet turns in at the arris: it has no edge there',
    ],
    'lap: none asked, none judged' => [
        wallDetail(
            [one('low', 'sheet', 1, [0, 0, 1000, 500]), one('up', 'board', 2, [0, 490, 1000, 1000])],
            ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]],
        ),
        ['laps' => [['up', 'low', 'horizontal', 10.0, false, 'pass']]],
        'a list of its own that does not speak of the pair',
    ],
    'lap: by common practice' => [
        wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 500]), one('up', 'sheet', 2, [0, 460, 1000, 1000])]),
        ['laps' => [['up', 'low', 'horizontal', 40.0, false, 'fail']]],
        'without a list of its own 100 mm is asked of sheets',
    ],
    'unit: only over its own depth' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'short-pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 90], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
            ],
            [],
            ['unit' => ['z' => [0, 90]]],
        ),
        ['unit:sill@500' => ['shed', 'pass', null]],
        'bare sill behind the unit is not where its joint leaks',
    ],
    'unit: pan shorter than the unit is deep' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'short-pan',
                    'formable',
                    2,
                    [
                        ['sill', [0, 0, 1000, 60], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
            ],
            [],
            ['unit' => ['z' => [0, 90]]],
        ),
        ['unit:sill@500' => ['wets substrate', 'fail', 0]],
        'the joint leaks onto bare wood behind the pan',
    ],
    'tuck: under a piece that came later' => [
        wallDetail([
            one('apron', 'metal', 1, [0, 0, 1000, 700], ['under' => 'sheet']),
            one('sheet', 'fluid', 2, [0, 500, 1000, 1000]),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'laid before it, it needs no open edge to be pushed under',
    ],
    'pipe: in a flange’s shadow' => [
        wallDetail(
            [one('a', 'sheet', 1, $full), one('b', 'sheet', 2, [0, 0, 1000, 700])],
            [
                'penetrations' => [
                    ['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['a']],
                ],
            ],
        ),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'behind b on a, and round the pipe by a’s seal',
    ],
    'head: folded top' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => [
                'face' => ['u' => [0, 1000], 'v' => [0, 1000]],
                'ledge' => ['u' => [0, 1000], 'v' => [0, 100]],
            ],
            'folds' => [['from' => 'ledge', 'to' => 'face', 'at_v' => 500]],
            'release' => 'face',
            'pieces' => [
                piece(
                    'h',
                    'metal',
                    1,
                    [
                        ['face', [0, 300, 1000, 500], ['joined' => ['k']]],
                        ['ledge', [0, 0, 1000, 100], ['joined' => ['k']]],
                    ],
                    ['role' => 'head-flashing', 'edges' => ['top' => 'open']],
                ),
            ],
        ],
        ['head' => ['h' => 'fail']],
        'its top on the face is folded and no edge; the edge on the ledge is one, and open',
    ],
    'level sill, dam just at the head' => [
        openingDetail($sound, ['sill_pitch' => 'level', 'sill_fall_mm' => 0, 'back_dam_mm' => 31], $set),
        ['unit:sill@500' => ['ponds', 'caution', null]],
        'at least as high is high enough',
    ],
    'fold: loose sheet on a folded membrane' => [
        roofDetail([
            one('wall', 'sheet', 1, $full),
            piece('base', 'membrane', 2, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['e']]],
                ['face', [0, 900, 1000, 1000], ['joined' => ['e']]],
            ]),
            piece('cap', 'sheet', 3, [['roof', [0, 0, 1000, 500]]]),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'the sheet on top stops at the edge; the membrane under it is folded and takes the water over',
    ],
    'fold: coats sealed at the edge' => [
        roofDetail([one('wall', 'fluid', 1, $full), piece('roofing', 'fluid', 2, [['roof', [0, 0, 1000, 500]]])]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'two coats that meet at the arris: the seal carries it, and nothing is behind',
    ],
    'fold: a loose sheet goes on over the edge' => [
        roofDetail([
            one('wall', 'sheet', 1, $full),
            piece('base', 'membrane', 2, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['e']]],
                ['face', [0, 900, 1000, 1000], ['joined' => ['e']]],
            ]),
            piece('loose', 'sheet', 3, [
                ['roof', [0, 0, 1000, 300], ['joined' => ['l']]],
                ['face', [0, 800, 1000, 1000], ['joined' => ['l']]],
            ]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'behind it at its open top, over the edge behind it, and out at its open foot',
    ],
    'fold: a bonded sheet ends at the edge over the water' => [
        roofDetail([
            one('wall', 'sheet', 1, $full),
            piece('base', 'membrane', 2, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['e']]],
                ['face', [0, 900, 1000, 1000], ['joined' => ['e']]],
            ]),
            piece('cap', 'sheet', 3, [['roof', [0, 0, 1000, 300]]], ['edges' => ['bottom' => 'adhered']]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'in at the open top of the cap, kept in by its bonded end at the arris',
    ],
    'fold: onto bare wall' => [
        roofDetail([piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500]]])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'nothing on the wall at all',
    ],
    'corner of jamb and sill: coats that only meet' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'fluid',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan'],
                ),
                piece('liner', 'fluid', 3, [['jamb-left', [0, 0, 140, 1000]]]),
            ],
            [],
            ['unit' => ['z' => [0, 80]]],
        ),
        ['unit:jamb-left@40' => ['relies on seal', 'caution', 1]],
        'the seal between them carries the water over, and is all there is',
    ],
    'corner of jamb and sill: a bonded patch over the corner of the pan' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                ...$liners(),
                piece('slip', 'membrane', 4, [['sill', [0, 0, 200, 140]]], ['edges' => ['bottom' => 'open']]),
            ],
            [],
            ['unit' => ['z' => [0, 80]]],
        ),
        ['unit:jamb-left@40' => ['relies on bond', 'note', null]],
        'its side touches the jamb: over it by its bond, or under it and out at its open end on the pan',
    ],
    'joint: patches of unlike height' => [
        wallDetail([one('l', 'board', 1, [0, 0, 500, 600]), one('r', 'board', 1, [500, 200, 1000, 1000])]),
        ['joints' => [[500.0, [200.0, 600.0], 'fail']]],
        'only where both are',
    ],
    'joint: joined above, slit below' => [
        wallDetail([
            piece('s', 'sheet', 1, [
                ['face', [0, 0, 500, 400]],
                ['face', [500, 0, 1000, 400]],
                ['face', [0, 400, 500, 1000], ['joined' => ['j']]],
                ['face', [500, 400, 1000, 1000], ['joined' => ['j']]],
            ]),
        ]),
        ['joints' => [[500.0, [0.0, 400.0], 'fail']]],
        'a slit ends where the sheet is whole',
    ],
    'joint: two joined strips lie across it' => [
        wallDetail([
            one('l', 'board', 1, [0, 0, 500, 1000]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
            piece('t', 'tape', 2, [
                ['face', [430, 0, 500, 1000], ['joined' => ['j']]],
                ['face', [500, 0, 570, 1000], ['joined' => ['j']]],
            ]),
        ]),
        ['joints' => [[500.0, [0.0, 1000.0], 'pass']]],
        'joined on that very line they are one',
    ],
    'joint: two strips that only meet on it' => [
        wallDetail([
            one('l', 'board', 1, [0, 0, 500, 1000]),
            one('r', 'board', 1, [500, 0, 1000, 1000]),
            piece('t', 'tape', 2, [['face', [430, 0, 500, 1000]], ['face', [500, 0, 570, 1000]]]),
        ]),
        [
            'joints' => [
                [500.0, [0.0, 1000.0], 'fail'],
                [500.0, [0.0, 1000.0], 'fail'],
                [500.0, [0.0, 1000.0], 'fail'],
                [500.0, [0.0, 1000.0], 'fail'],
            ],
        ],
        'four pairs of sides meet on the line, and nothing lies across any',
    ],
    'tuck: under a bonded piece it does not touch' => [
        wallDetail([
            one('band', 'membrane', 1, [0, 800, 1000, 1000]),
            one('apron', 'metal', 2, [0, 0, 1000, 700], ['under' => 'band']),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'nothing to push it under here: it may be said, and the wall between is bare',
    ],
    'lap: upright, over the arris' => [
        openingDetail(
            [
                piece('liner', 'membrane', 1, [
                    ['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]],
                    ['face', [-75, 0, 0, 1000], ['joined' => ['l']]],
                ]),
                one('strip', 'membrane', 2, [-30, 0, 200, 1000]),
            ],
            [],
            ['least_laps' => [['outer' => 'membrane', 'inner' => 'membrane', 'end_mm' => 50]]],
        ),
        ['laps' => []],
        'the liner turns in at the arris: it has no edge there to be lapped',
    ],
    'lap: upright, at its true edge' => [
        openingDetail(
            [
                piece('liner', 'membrane', 1, [
                    ['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]],
                    ['face', [-75, 0, 0, 1000], ['joined' => ['l']]],
                ]),
                one('strip', 'membrane', 2, [-300, 0, -35, 1000]),
            ],
            [],
            ['least_laps' => [['outer' => 'membrane', 'inner' => 'membrane', 'end_mm' => 50]]],
        ),
        ['laps' => [['strip', 'liner', 'end', 40.0, false, 'caution']]],
        'beside it on the face: 40 of 50',
    ],
    'lap: on a sill pitched in it is reversed the other way' => [
        openingDetail(
            [
                piece('inner', 'membrane', 1, [['sill', [0, 50, 1000, 140]]]),
                piece('outer', 'membrane', 2, [['sill', [0, 0, 1000, 110]]]),
            ],
            ['sill_pitch' => 'in'],
            ['least_laps' => [['outer' => 'membrane', 'inner' => 'membrane', 'horizontal_mm' => 50]]],
        ),
        ['laps' => [['outer', 'inner', 'horizontal', 60.0, false, 'pass']]],
        'uphill is outward there',
    ],
    'shielded: a strip begins on a sheet that the water is behind' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('over', 'sheet', 2, [0, 100, 1000, 800]),
            one('strip', 'membrane', 3, [0, 300, 1000, 600]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'the sheet goes on between: the water never meets the strip',
    ],
    'shielded: a butt joint behind a sheet that goes on' => [
        wallDetail([
            one('up', 'fluid', 1, [0, 500, 1000, 1000]),
            one('mid', 'sheet', 2, [0, 300, 1000, 700]),
            one('low', 'fluid', 3, [0, 0, 1000, 500]),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'in behind the sheet at its open top; the coat above ends there, and the coat below begins outside of the sheet: no seal carries it',
    ],
    'two edges at one height' => [
        wallDetail([
            one('a', 'sheet', 1, $full),
            one('in', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']]),
            one('out', 'sheet', 3, [0, 200, 1000, 600]),
        ]),
        ['top@500' => ['relies on bond', 'note', null]],
        'onto the inner by its bond, and then in at the open top of the outer at the same place; out at both feet',
    ],
    'right jamb: coats that only meet' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'fluid',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan', 'edges' => ['right' => 'adhered']],
                ),
                piece('liner', 'membrane', 3, [['jamb-right', [0, 0, 140, 1000]]]),
            ],
            [],
            ['unit' => ['z' => [0, 80]]],
        ),
        ['unit:jamb-right@40' => ['wets substrate', 'fail', 0]],
        'a bond on either side carries nothing over a joint; the sealed other side of the pan has no say',
    ],
    'right jamb: the pan sealed to it' => [
        openingDetail(
            [
                $sheet(),
                piece(
                    'pan',
                    'membrane',
                    2,
                    [
                        ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                        ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                    ],
                    ['role' => 'pan', 'edges' => ['right' => 'sealed']],
                ),
                piece('liner', 'membrane', 3, [['jamb-right', [0, 0, 140, 1000]], ['jamb-left', [0, 0, 140, 1000]]]),
            ],
            [],
            ['unit' => ['z' => [0, 80]]],
        ),
        [
            'unit:jamb-right@40' => ['relies on seal', 'caution', 1],
            'unit:jamb-left@40' => ['wets substrate', 'fail', 0],
        ],
        'sealed at the right, only bonded at the left',
    ],
    'head: the unit sealed to the sheet above it' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                one('above', 'sheet', 3, [-500, 1000, 1500, 1500]),
                one('unit', 'unit', 4, [0, -25, 1000, 1000], ['edges' => ['top' => 'sealed']]),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'a unit flush in the face, its top sealed to the foot of the sheet: the seal carries it over the joint',
    ],
    'head: the unit butted, not sealed' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                one('above', 'sheet', 3, [-500, 1000, 1500, 1500]),
                one('unit', 'unit', 4, [0, -25, 1000, 1000]),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'the same without the seal: into the head joint',
    ],
    'head: sheet folded into the head behind a flange' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                ...$liners(),
                piece('above', 'sheet', 1, [
                    ['face', [0, 1000, 1000, 1500], ['joined' => ['h']]],
                    ['head', [0, 0, 1000, 140], ['joined' => ['h']]],
                ]),
                $unit(['top' => 'open']),
            ],
            [],
            $set,
        ),
        ['top@500' => ['recovered', 'note', null]],
        'behind the open flange on a sheet that turns into the head: down the jambs on the liners, and out over the pan',
    ],
    'head: behind a strip that folds into it' => [
        openingDetail([
            $sheet(),
            one('back', 'sheet', 2, [-500, 1000, 1500, 1500]),
            piece('strip', 'sheet', 3, [
                ['face', [0, 1000, 1000, 1200], ['joined' => ['h']]],
                ['head', [0, 0, 1000, 140], ['joined' => ['h']]],
            ]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'in at its open top, and it goes round the arris with the water behind it',
    ],
    'tolerant: only the one facet' => [
        array_replace(roofDetail([piece('roofing', 'membrane', 2, [['roof', [0, 100, 1000, 500]]])]), [
            'tolerant' => ['roof'],
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'the slope bears it, the wall below does not',
    ],
    'screw: made for one of two' => [
        wallDetail(
            [one('a', 'sheet', 1, $full), one('b', 'board', 2, $full)],
            [
                'fasteners' => [
                    ['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['b', 'a'], 'made_for' => ['a']],
                ],
            ],
        ),
        ['fastener@300' => ['recovered', 'note', null]],
        'through the board to the sheet, which closes round it',
    ],
    'screw: made for neither' => [
        wallDetail(
            [one('a', 'sheet', 1, $full), one('b', 'board', 2, $full)],
            [
                'fasteners' => [
                    ['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['b', 'a'], 'made_for' => []],
                ],
            ],
        ),
        ['fastener@300' => ['wets substrate', 'fail', 0]],
        'through both',
    ],
    'pipe: two at one height' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            [
                'penetrations' => [
                    ['id' => 'first', 'facet' => 'face', 'rect' => [100, 400, 200, 600], 'sealed_to' => ['a']],
                    ['id' => 'second', 'facet' => 'face', 'rect' => [400, 400, 600, 600]],
                ],
            ],
        ),
        [
            'top@150' => ['relies on seal', 'caution', 1],
            'top@300' => ['shed', 'pass', null],
            'top@500' => ['wets substrate', 'fail', 0],
        ],
        'each for itself, whichever is listed first',
    ],
    'head: folded in behind a flange, the jambs lined only as deep as the unit' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                piece('l', 'membrane', 3, [['jamb-left', [0, 75, 80, 1000]]]),
                piece('r', 'membrane', 3, [['jamb-right', [0, 75, 80, 1000]]]),
                piece('above', 'sheet', 1, [
                    ['face', [0, 1000, 1000, 1500], ['joined' => ['h']]],
                    ['head', [0, 0, 1000, 140], ['joined' => ['h']]],
                ]),
                $unit(['top' => 'open']),
            ],
            [],
            $set,
        ),
        ['top@500' => ['recovered', 'note', null]],
        'the water comes down in the joint of the unit, not inside of it, where the jamb is bare',
    ],
    'head: the same, lined less deep than the unit' => [
        openingDetail(
            [
                $sheet(),
                $pan(),
                piece('l', 'membrane', 3, [['jamb-left', [0, 75, 60, 1000]]]),
                piece('r', 'membrane', 3, [['jamb-right', [0, 75, 60, 1000]]]),
                piece('above', 'sheet', 1, [
                    ['face', [0, 1000, 1000, 1500], ['joined' => ['h']]],
                    ['head', [0, 0, 1000, 140], ['joined' => ['h']]],
                ]),
                $unit(['top' => 'open']),
            ],
            [],
            $set,
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'part of the joint lies on bare wood',
    ],
    'opening: no pan under the drip' => [
        openingDetail([$sheet(), ...$liners(), one('above', 'sheet', 3, [-500, 1000, 1500, 1500])]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'it drips off the arris onto a bare sill, though it then runs out over the sheet',
    ],
    'opening: a bare sill that bears it' => [
        openingDetail(
            [$sheet(), ...$liners(), one('above', 'sheet', 3, [-500, 1000, 1500, 1500])],
            [],
            ['tolerant' => ['sill', 'face', 'jamb-left', 'jamb-right', 'head']],
        ),
        ['top@500' => ['wets substrate', 'note', null]],
        'coated masonry: wet all the same, and a note',
    ],
    'fold: the roofing ends at the arris over a strip that turns down' => [
        roofDetail([
            piece('strip', 'metal', 1, [
                ['roof', [0, 0, 1000, 100], ['joined' => ['s']]],
                ['face', [0, 900, 1000, 1000], ['joined' => ['s']]],
            ]),
            piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500]]]),
            one('wall', 'sheet', 0 + 3, [0, 0, 1000, 950], ['under' => 'strip']),
        ]),
        ['top@500' => ['shed', 'pass', null]],
        'off the roofing’s foot onto the strip that goes on over the arris, and off that onto the sheet tucked under it',
    ],
    'fold: the roofing ends at the arris, the wall’s sheet begins there' => [
        roofDetail([
            piece('roofing', 'membrane', 1, [['roof', [0, 0, 1000, 500]]]),
            one('wall', 'sheet', 2, [0, 0, 1000, 1000]),
        ]),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'a butt joint at the arris: open, with nothing behind it',
    ],
    'fold: the same, sealed' => [
        roofDetail([
            piece('roofing', 'membrane', 1, [['roof', [0, 0, 1000, 500]]], ['edges' => ['bottom' => 'sealed']]),
            one('wall', 'sheet', 2, [0, 0, 1000, 1000]),
        ]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'the seal carries it over, and it is all there is',
    ],
    'fold: two begin there, the outer one sealed' => [
        roofDetail([
            piece('roofing', 'membrane', 1, [['roof', [0, 0, 1000, 500]]]),
            one('inner', 'sheet', 2, [0, 0, 1000, 1000]),
            one('outer', 'sheet', 3, [0, 500, 1000, 1000], ['edges' => ['top' => 'sealed']]),
        ]),
        ['top@500' => ['relies on seal', 'caution', 1]],
        'of the two that begin at the arris the one that is sealed carries it over',
    ],
    'fold: behind an outer sheet that goes over it' => [
        roofDetail([
            piece('back', 'sheet', 1, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['b']]],
                ['face', [0, 0, 1000, 1000], ['joined' => ['b']]],
            ]),
            piece('over', 'sheet', 2, [
                ['roof', [0, 0, 1000, 300], ['joined' => ['o']]],
                ['face', [0, 600, 1000, 1000], ['joined' => ['o']]],
            ]),
        ]),
        ['top@500' => ['recovered', 'note', null]],
        'in behind at its top on the slope, on over the arris behind it, and out at its foot on the wall',
    ],
    'fold: behind an outer sheet that is bonded at the arris' => [
        roofDetail([
            piece('back', 'sheet', 1, [
                ['roof', [0, 0, 1000, 500], ['joined' => ['b']]],
                ['face', [0, 0, 1000, 1000], ['joined' => ['b']]],
            ]),
            piece('over', 'sheet', 2, [['roof', [0, 0, 1000, 300], ['edges' => ['bottom' => 'adhered']]]]),
        ]),
        ['top@500' => ['trapped', 'fail', 0]],
        'in behind at its top, held in at the arris',
    ],
    'sill: pitched in, the dam as high as the head of water alone' => [
        openingDetail(
            [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $head(), $above()],
            ['sill_pitch' => 'in', 'sill_fall_mm' => 10, 'back_dam_mm' => 35],
            $set,
        ),
        ['unit:sill@500' => ['enters inside', 'fail', 0]],
        'the water stands ten deeper at the inner end: 41 are asked',
    ],
    'sill: pitched in, the dam as high as head and fall' => [
        openingDetail(
            [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $head(), $above()],
            ['sill_pitch' => 'in', 'sill_fall_mm' => 10, 'back_dam_mm' => 41],
            $set,
        ),
        ['unit:sill@500' => ['ponds', 'caution', null]],
        'it stands there, held',
    ],
    'sill: level, the dam as high as the head of water' => [
        openingDetail(
            [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $head(), $above()],
            ['sill_pitch' => 'level', 'sill_fall_mm' => 10, 'back_dam_mm' => 31],
            $set,
        ),
        ['unit:sill@500' => ['ponds', 'caution', null]],
        'level, its fall is no matter',
    ],
    'opening: a face that bears it, over a sill that does not' => [
        openingDetail(
            [...$liners(), piece('low', 'sheet', 1, [['face', [-500, -500, 1500, 0]]])],
            [],
            ['tolerant' => ['face']],
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'coated masonry is wet first and bears it; the wood of the sill below it does not',
    ],
    'opening: a sill that bears it, under a face that does not' => [
        openingDetail(
            [
                ...$liners(),
                piece('low', 'sheet', 1, [['face', [-500, -500, 1500, 0]]]),
                one('above', 'sheet', 3, [-500, 1000, 1500, 1500]),
            ],
            [],
            ['tolerant' => ['sill']],
        ),
        ['top@500' => ['wets substrate', 'fail', 0]],
        'off the sheet onto a coated sill that bears it, and off that behind the open top of the sheet below, onto wood that does not',
    ],
    'release: none is named, the first facet' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => [
                'slope' => ['u' => [0, 1000], 'v' => [0, 500]],
                'gable' => ['u' => [0, 1000], 'v' => [0, 500]],
            ],
            'pieces' => [piece('a', 'sheet', 1, [['slope', [0, 0, 1000, 500]]])],
        ],
        ['top:slope@500' => ['shed', 'pass', null]],
        'the gable has a water of its own that nobody let go',
    ],
    'pipe: beside the strip' => [
        wallDetail(
            [one('a', 'sheet', 1, $full)],
            ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600]]]],
        ),
        [
            'top@399' => ['shed', 'pass', null],
            'top@601' => ['shed', 'pass', null],
            'top@401' => ['wets substrate', 'fail', 0],
        ],
        'from edge to edge of it and no farther',
    ],
    'release: not from the first facet but the one that is named' => [
        [
            'id' => 'd',
            'title' => 'case',
            'facets' => [
                'ledge' => ['u' => [0, 1000], 'v' => [0, 100]],
                'face' => ['u' => [0, 1000], 'v' => [0, 1000]],
            ],
            'folds' => [['from' => 'face', 'to' => 'ledge', 'at_v' => 100]],
            'release' => 'face',
            'pieces' => [one('a', 'sheet', 1, $full)],
        ],
        ['top:face@500' => ['wets substrate', 'fail', 0]],
        'released on the face: the sheet ends at its foot, and the ledge is bare',
    ],
];
