<?php

declare(strict_types=1);

// Cases of gaps between layers, with their reasons, written before the code that computes them. A wall of two panels of
// framing, foam and facer: the joint between them runs into the room, and behind each facer lies a gap that runs into
// the joint. `foot` is their underside. A mouth is where a gap comes out; it is closed where pieces for air lie over
// all of it and hold by a bond or a seal. Common practice: tape on the face does not make such panels airtight, the
// edge of each cavity is sealed too.

require_once __DIR__.'/Support.php';

$panel = fn (string $id, int $u0, int $u1) => piece(
    $id,
    'board',
    1,
    [['face', [$u0, 0, $u1, 1000]]],
    ['role' => 'plane', 'air' => true, 'air_layer' => true],
);
$joint = [
    'id' => 'joint',
    'mouths' => [['facet' => 'face', 'rect' => [998, 0, 1002, 1000]]],
    'joins' => ['indoors'],
];
$behind = fn (string $id, int $u0, int $u1, array $joins = ['joint']) => [
    'id' => $id,
    'mouths' => [['facet' => 'foot', 'rect' => [$u0, 90, $u1, 94]]],
    'joins' => $joins,
];
$both = [$joint, $behind('behind-left', 0, 1000), $behind('behind-right', 1000, 2000)];
$wall = fn (array $pieces, array $gaps) => [
    'id' => 'd',
    'title' => 'case',
    'facets' => ['face' => ['u' => [0, 2000], 'v' => [0, 1000]], 'foot' => ['u' => [0, 2000], 'v' => [0, 200]]],
    'release' => 'face',
    'pieces' => [$panel('left', 0, 1000), $panel('right', 1000, 2000), ...$pieces],
    'gaps' => $gaps,
];
$air = ['air' => true];
$tape = one('tape', 'tape', 2, [950, 0, 1050, 1000], $air);
$bead = fn (string $id, int $u0, int $u1) => piece($id, 'sealant', 3, [['foot', [$u0, 85, $u1, 99]]]);

/**
 * A window in sheathing on framing: the gap between the two comes out on all four returns, 12 mm in, and runs into the
 * room by the cavities.
 */
$returns = [
    'sill' => [0, 11, 1000, 13],
    'jamb-left' => [11, 0, 13, 1000],
    'jamb-right' => [11, 0, 13, 1000],
    'head' => [0, 11, 1000, 13],
];
$behindSheathing = [
    'id' => 'behind-sheathing',
    'mouths' => array_map(
        fn (string $facet) => ['facet' => $facet, 'rect' => $returns[$facet]],
        array_keys($returns),
    ),
    'joins' => ['indoors'],
];
$boards = piece(
    'boards',
    'board',
    1,
    [
        ['face', [-500, -500, 1500, 0]],
        ['face', [-500, 0, 0, 1000]],
        ['face', [1000, 0, 1500, 1000]],
        ['face', [-500, 1000, 1500, 1500]],
    ],
    ['role' => 'plane', 'air' => true, 'air_layer' => true],
);
$liner = fn (string $facet) => piece(
    "liner-$facet",
    'membrane',
    3,
    [[$facet, $facet === 'sill' || $facet === 'head' ? [0, 0, 1000, 140] : [0, 0, 140, 1000]]],
    $air,
);
$window = fn (array $pieces, array $gaps, array $more = []) => openingDetail(
    [$boards, ...$pieces],
    [],
    ['unit' => ['z' => [0, 80]], 'gaps' => $gaps] + $more,
);
$lined = array_map($liner, ['sill', 'jamb-left', 'jamb-right', 'head']);

return [
    'no gaps are stated' => [$wall([], []), [], 'nothing is known of them, and nothing is said'],
    'an open joint' => [$wall([], [$joint]), ['joint face'], 'straight through'],
    'the joint taped' => [$wall([$tape], [$joint]), [], 'bonded over all of its mouth'],
    'the joint taped, the cavities open at the foot' => [
        $wall([$tape], $both),
        ['behind-left foot', 'behind-right foot'],
        'in at the foot, behind the facer, into the joint behind the tape and into the room: tape on the face alone is not airtight',
    ],
    'the edge of each cavity sealed too' => [
        $wall([$tape, $bead('one', 0, 1000), $bead('other', 1000, 2000)], $both),
        [],
        'nothing is left to come in by',
    ],
    'one of two cavities sealed' => [
        $wall([$tape, $bead('one', 0, 1000)], $both),
        ['behind-right foot'],
        'one open cavity is enough',
    ],
    'one bead along both' => [$wall([$tape, $bead('one', 0, 2000)], $both), [], 'it lies over both mouths'],
    'a sheet fastened over the foot' => [
        $wall([$tape, piece('screen', 'sheet', 3, [['foot', [0, 50, 2000, 150]]], $air)], $both),
        ['behind-left foot', 'behind-right foot'],
        'a fastened open lap is no contact',
    ],
    'the same sheet, its long edges sealed' => [
        $wall(
            [
                $tape,
                piece(
                    'screen',
                    'sheet',
                    3,
                    [['foot', [0, 50, 2000, 150]]],
                    $air + ['edges' => ['top' => 'sealed', 'bottom' => 'sealed']],
                ),
            ],
            $both,
        ),
        [],
        'held by a seal',
    ],
    'a tape that is not for air' => [
        $wall([one('tape', 'tape', 2, [950, 0, 1050, 1000])], [$joint]),
        ['joint face'],
        'what nobody named for air closes nothing',
    ],
    'tape over half of the joint' => [
        $wall([one('tape', 'tape', 2, [950, 500, 1050, 1000], $air)], [$joint]),
        ['joint face'],
        'the lower half is open',
    ],
    'two lengths of tape, lapped' => [
        $wall(
            [
                one('upper', 'tape', 3, [950, 450, 1050, 1000], $air),
                one('lower', 'tape', 2, [950, 0, 1050, 500], $air),
            ],
            [$joint],
        ),
        [],
        'together over all of it',
    ],
    'two lengths of tape, a gap between' => [
        $wall(
            [
                one('upper', 'tape', 3, [950, 501, 1050, 1000], $air),
                one('lower', 'tape', 2, [950, 0, 1050, 500], $air),
            ],
            [$joint],
        ),
        ['joint face'],
        'a millimetre is open',
    ],
    'a tape beside the joint' => [
        $wall([one('tape', 'tape', 2, [1000, 0, 1100, 1000], $air)], [$joint]),
        ['joint face'],
        'half of its width is open',
    ],
    'a cavity that runs nowhere' => [
        $wall([], [$behind('behind-left', 0, 1000, [])]),
        [],
        'outdoor air gets in and no farther',
    ],
    'a cavity open at both ends' => [
        $wall(
            [],
            [
                [
                    'id' => 'shaft',
                    'mouths' => [
                        ['facet' => 'foot', 'rect' => [0, 90, 1000, 94]],
                        ['facet' => 'foot', 'rect' => [0, 10, 1000, 14], 'to' => 'indoors'],
                    ],
                ],
            ],
        ),
        ['shaft foot'],
        'in at one mouth, out at the one that is stated to lie indoors',
    ],
    'a cavity closed towards the room' => [
        $wall(
            [piece('bead', 'sealant', 3, [['foot', [0, 5, 1000, 19]]])],
            [
                [
                    'id' => 'shaft',
                    'mouths' => [
                        ['facet' => 'foot', 'rect' => [0, 90, 1000, 94]],
                        ['facet' => 'foot', 'rect' => [0, 10, 1000, 14], 'to' => 'indoors'],
                    ],
                ],
            ],
        ),
        [],
        'one end closed is enough',
    ],
    'three gaps in a row' => [
        $wall([$tape], [$joint, $behind('far', 0, 500, ['near']), ['id' => 'near', 'joins' => ['joint']]]),
        ['far foot'],
        'through all of them',
    ],
    'joined the other way round' => [
        $wall([$tape], [['id' => 'room-side', 'joins' => ['indoors', 'far']], $behind('far', 0, 500, [])]),
        ['far foot'],
        'where two volumes are joined air passes either way',
    ],
    'only what leads to the room is told' => [
        $wall([$tape], [$joint, $behind('behind-left', 0, 1000, []), $behind('behind-right', 1000, 2000)]),
        ['behind-right foot'],
        'the left one is shut off from the joint',
    ],
    'joined to the outdoors behind everything' => [
        $wall([$tape], [$joint, ['id' => 'attic', 'joins' => ['outdoors', 'joint']]]),
        ['attic outdoors'],
        'no mouth is needed where it is stated to lie open',
    ],

    'a lined window in sheathing on framing' => [
        $window($lined, [$behindSheathing]),
        [],
        'the liners cross from the sheathing to the framing and are bonded',
    ],
    'no liner at one jamb' => [
        $window(array_values(array_filter($lined, fn (array $p) => $p['id'] !== 'liner-jamb-left')), [
            $behindSheathing,
        ]),
        ['behind-sheathing jamb-left'],
        'behind the sheathing into the cavities, and by them into the room',
    ],
    'a bead in its place' => [
        $window(
            [
                ...array_values(array_filter($lined, fn (array $p) => $p['id'] !== 'liner-jamb-left')),
                piece('gap-bead', 'sealant', 2, [['jamb-left', [8, 0, 16, 1000]]]),
            ],
            [$behindSheathing],
        ),
        [],
        'sealed along its whole length',
    ],
    'a liner that begins behind the gap' => [
        $window(
            [
                ...array_values(array_filter($lined, fn (array $p) => $p['id'] !== 'liner-head')),
                piece('late', 'membrane', 3, [['head', [0, 12, 1000, 140]]], $air),
            ],
            [$behindSheathing],
        ),
        ['behind-sheathing head'],
        'half of the mouth is open',
    ],
    'a mouth inside of the inner seal' => [
        $window($lined, [
            [
                'id' => 'deep',
                'mouths' => [['facet' => 'sill', 'rect' => [0, 100, 1000, 110]]],
                'joins' => ['indoors'],
            ],
        ]),
        [],
        'it lies on the room’s side: no outdoor air comes to it',
    ],
    'a joint of the boards beside a window' => [
        $window($lined, [
            [
                'id' => 'joint',
                'mouths' => [['facet' => 'face', 'rect' => [-300, 200, -298, 900]]],
                'joins' => ['indoors'],
            ],
        ]),
        ['joint face'],
        'the face is outdoors at any height: only on the returns does the unit part the sides',
    ],
    'an opening with no unit yet' => [
        openingDetail(
            [$boards],
            [],
            [
                'gaps' => [
                    [
                        'id' => 'behind',
                        'mouths' => [['facet' => 'sill', 'rect' => [0, 100, 1000, 110]]],
                        'joins' => ['indoors'],
                    ],
                ],
            ],
        ),
        ['behind sill'],
        'nothing parts outdoors from the room there',
    ],
    'a gap that passes under the inner seal' => [
        $window(
            [],
            [
                [
                    'id' => 'under',
                    'mouths' => [
                        ['facet' => 'sill', 'rect' => [0, 11, 1000, 13]],
                        ['facet' => 'sill', 'rect' => [0, 100, 1000, 110]],
                    ],
                ],
            ],
        ),
        ['under sill'],
        'in outside of the seal, out inside of it',
    ],
];
