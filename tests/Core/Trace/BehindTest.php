<?php

declare(strict_types=1);

use Apron\Trace\Check\Backing;
use Apron\Trace\Check\ThreeSided;

require_once __DIR__.'/Support.php';

/** The codes of the findings of a wall with framing at the given places. */
function behind(array $pieces, array $framing = []): array
{
    $detail =
        wallDetail($pieces) +
        ($framing === []
            ? []
            : ['framing' => array_map(fn (array $rect) => ['facet' => 'face', 'rect' => $rect], $framing)]);

    return array_values(
        array_filter(
            array_map(fn ($f) => $f->code, traced($detail)->findings()),
            fn (string $code) => preg_match('/^(backing|sealant)/', $code) === 1,
        ),
    );
}

$sheets = [one('left', 'sheet', 1, [0, 0, 500, 1000]), one('right', 'sheet', 2, [350, 0, 1000, 1000])];
$courses = [one('low', 'sheet', 1, [0, 0, 1000, 550]), one('up', 'sheet', 2, [0, 400, 1000, 1000])];
$boards = [one('left', 'board', 1, [0, 0, 498, 1000]), one('right', 'board', 2, [501, 0, 1000, 1000])];

it('asks for framing behind a lap of sheets and a joint of boards, where it knows the framing', function (
    array $pieces,
    array $framing,
    array $expected,
) {
    expect(behind($pieces, $framing))->toBe($expected);
})->with([
    'nobody said where the framing is' => [$sheets, [], []],
    'a stud behind the upright lap' => [$sheets, [[400, 0, 438, 1000]], []],
    'a stud beside it' => [$sheets, [[100, 0, 138, 1000]], ['backing.lap']],
    'a stud that stops short' => [$sheets, [[400, 0, 438, 900]], ['backing.lap']],
    'only its edge' => [$sheets, [[490, 0, 528, 1000]], []],
    'blocking behind the level lap' => [$courses, [[0, 420, 1000, 458]], []],
    'studs alone behind a level lap' => [$courses, [[400, 0, 438, 1000]], ['backing.lap']],
    'a cover is no lap' => [
        [one('a', 'sheet', 1, [0, 0, 1000, 1000]), one('b', 'sheet', 2, [200, 200, 600, 600])],
        [[0, 0, 38, 1000]],
        [],
    ],
    'a membrane needs none' => [
        [one('a', 'membrane', 1, [0, 0, 500, 1000]), one('b', 'membrane', 2, [350, 0, 1000, 1000])],
        [[0, 0, 38, 1000]],
        [],
    ],
    'boards that meet on a stud' => [$boards, [[480, 0, 519, 1000]], []],
    'boards that meet beside the middle of a stud' => [$boards, [[490, 0, 528, 1000]], ['backing.joint']],
    'boards that meet over air' => [$boards, [[100, 0, 138, 1000]], ['backing.joint']],
    'a sheet in two lengths, its neighbour over nothing' => [
        [
            piece('left', 'sheet', 1, [
                ['face', [0, 0, 500, 400], ['joined' => ['j']]],
                ['face', [0, 400, 500, 1000], ['joined' => ['j']]],
            ]),
            one('right', 'sheet', 2, [350, 0, 1000, 1000]),
        ],
        [[100, 0, 138, 1000]],
        ['backing.lap'],
    ],
    'a gap as wide as their bearing is still a joint' => [
        [one('a', 'board', 1, [0, 0, 492, 1000]), one('b', 'board', 2, [508, 0, 1000, 1000])],
        [[0, 0, 38, 1000]],
        ['backing.joint'],
    ],
    'and the least that bears' => [
        [one('a', 'board', 1, [0, 0, 492, 1000]), one('b', 'board', 2, [508, 0, 1000, 1000])],
        [[476, 0, 524, 1000]],
        [],
    ],
    'on a cripple, and on the plate over it' => [$boards, [[480, 0, 519, 700], [0, 700, 1000, 1000]], []],
    'a rod in a joint, beside a board' => [
        [
            one('board', 'board', 1, [0, 0, 498, 1000]),
            one('rod', 'board', 2, [498, 0, 504, 1000], ['material' => 'backer-rod']),
        ],
        [[100, 0, 138, 1000]],
        [],
    ],
    'a rod laid before the board' => [
        [
            one('rod', 'board', 1, [498, 0, 504, 1000], ['material' => 'backer-rod']),
            one('board', 'board', 2, [0, 0, 498, 1000]),
        ],
        [[100, 0, 138, 1000]],
        [],
    ],
    'listed the other way about' => [$boards, [[0, 700, 1000, 1000], [480, 0, 519, 700]], []],
    'on a cripple that ends below the plate' => [
        $boards,
        [[480, 0, 519, 650], [0, 700, 1000, 1000]],
        ['backing.joint'],
    ],
    'on a plate with nothing below it' => [$boards, [[0, 700, 1000, 1000]], ['backing.joint']],
    'an upright lap over two studs, one on the other' => [$sheets, [[400, 0, 438, 500], [420, 500, 458, 1000]], []],
    'a level lap over two lengths of blocking with a hole between' => [
        $courses,
        [[0, 420, 480, 458], [520, 420, 1000, 458]],
        ['backing.lap'],
    ],
    'boards butted over air' => [
        [one('a', 'board', 1, [0, 0, 500, 1000]), one('b', 'board', 2, [500, 0, 1000, 1000])],
        [[0, 0, 38, 1000]],
        ['backing.joint'],
    ],
    'boards that meet at a corner alone' => [
        [one('a', 'board', 1, [0, 0, 500, 400]), one('b', 'board', 2, [500, 400, 1000, 1000])],
        [[0, 0, 38, 1000]],
        [],
    ],
    'a lap as tall as it is wide, over a stud' => [
        [one('a', 'sheet', 1, [0, 0, 500, 500]), one('b', 'sheet', 2, [350, 350, 1000, 1000])],
        [[400, 0, 438, 1000]],
        [],
    ],
    'a lap as tall as it is wide, over blocking alone' => [
        [one('a', 'sheet', 1, [0, 0, 500, 500]), one('b', 'sheet', 2, [350, 350, 1000, 1000])],
        [[0, 400, 1000, 438]],
        ['backing.lap'],
    ],
    'a board and a sheet' => [
        [one('a', 'board', 1, [0, 0, 500, 1000]), one('b', 'sheet', 2, [350, 0, 1000, 1000])],
        [[0, 0, 38, 1000]],
        [],
    ],
    'boards far apart do not meet' => [
        [one('a', 'board', 1, [0, 0, 400, 1000]), one('b', 'board', 2, [600, 0, 1000, 1000])],
        [[0, 0, 38, 1000]],
        [],
    ],
    'boards one over the other' => [
        [one('a', 'board', 1, [0, 0, 500, 400]), one('b', 'board', 2, [500, 600, 1000, 1000])],
        [[0, 0, 38, 1000]],
        [],
    ],
]);

it('marks the bare stretch of a joint, and no more', function (array $framing, array $bare) use ($boards) {
    $found = traced(
        wallDetail($boards) + [
            'framing' => array_map(fn (array $rect) => ['facet' => 'face', 'rect' => $rect], $framing),
        ],
    )->of(Backing::class)->unbacked;
    expect([$found[0]['rect']->v0, $found[0]['rect']->v1])->toBe($bare);
})->with([
    'between a cripple and the plate over it' => [[[480, 0, 519, 650], [0, 700, 1000, 1000]], [650.0, 700.0]],
    'below a plate' => [[[0, 700, 1000, 1000]], [0.0, 700.0]],
    'above the last of two' => [[[480, 0, 519, 300], [480, 250, 519, 650]], [650.0, 1000.0]],
    'all of it' => [[[100, 0, 138, 1000]], [0.0, 1000.0]],
]);

it('holds what has nothing behind it for a caution, and sealant on three sides for a fail', function () use ($sheets) {
    $lap = traced(wallDetail($sheets) + ['framing' => [['facet' => 'face', 'rect' => [100, 0, 138, 1000]]]]);
    expect($lap->severity()->value)
        ->toBe('caution')
        ->and(array_map(fn ($f) => $f->severity->value.' '.$f->code, $lap->findings()))
        ->toBe(['caution backing.lap']);
    $bead = traced(
        wallDetail([
            one('low', 'fluid', 1, [0, 0, 1000, 490]),
            one('up', 'fluid', 1, [0, 510, 1000, 1000]),
            one('bead', 'sealant', 2, [0, 490, 1000, 510]),
        ]),
    );
    expect($bead->severity()->value)
        ->toBe('fail')
        ->and(array_map(fn ($f) => $f->severity->value.' '.$f->code, $bead->findings()))
        ->toContain('fail sealant.three-sided');
});

$sides = [one('low', 'membrane', 1, [0, 0, 1000, 490]), one('up', 'membrane', 1, [0, 510, 1000, 1000])];
$bead = fn (array $rect, int $step = 3) => one('bead', 'sealant', $step, $rect);
$rod = fn (array $rect) => one('rod', 'board', 2, $rect, ['material' => 'backer-rod']);

it('finds sealant that is stuck on three sides', function (array $pieces, array $expected) {
    expect(behind($pieces))->toBe($expected);
})->with([
    'in a level joint, on bare wood' => [[...$sides, $bead([0, 490, 1000, 510])], ['sealant.three-sided']],
    'with backer rod behind' => [[...$sides, $rod([0, 490, 1000, 510]), $bead([0, 490, 1000, 510])], []],
    'with rod behind half of it' => [
        [...$sides, $rod([0, 490, 500, 510]), $bead([0, 490, 1000, 510])],
        ['sealant.three-sided'],
    ],
    'lapped onto both sides' => [[...$sides, $bead([0, 480, 1000, 520])], ['sealant.three-sided']],
    'in an upright joint' => [
        [
            one('a', 'membrane', 1, [0, 0, 490, 1000]),
            one('b', 'membrane', 1, [510, 0, 1000, 1000]),
            $bead([490, 0, 510, 1000]),
        ],
        ['sealant.three-sided'],
    ],
    'in an upright joint over rod' => [
        [
            one('a', 'membrane', 1, [0, 0, 490, 1000]),
            one('b', 'membrane', 1, [510, 0, 1000, 1000]),
            $rod([480, 0, 520, 1000]),
            $bead([490, 0, 510, 1000]),
        ],
        [],
    ],
    'along one edge only' => [[$sides[0], $bead([0, 480, 1000, 500])], []],
    'a bead on the face of one sheet' => [[one('a', 'sheet', 1, [0, 0, 1000, 1000]), $bead([0, 400, 1000, 420])], []],
    'under what it seals' => [
        [
            $bead([0, 480, 1000, 520], 1),
            one('low', 'membrane', 2, [0, 0, 1000, 490]),
            one('up', 'membrane', 3, [0, 510, 1000, 1000]),
        ],
        [],
    ],
]);

it('fills the gap where both sides are, and only there', function (array $low, array $up, array $rect, ?array $gap) {
    $found = traced(
        wallDetail([one('low', 'fluid', 1, $low), one('up', 'fluid', 1, $up), one('bead', 'sealant', 2, $rect)]),
    )->of(ThreeSided::class)->stuck;
    expect(array_map(fn (array $f) => [$f['gap']->u0, $f['gap']->v0, $f['gap']->u1, $f['gap']->v1], $found))->toEqual(
        $gap === null ? [] : [$gap],
    );
})->with([
    'level, staggered' => [[0, 0, 600, 490], [300, 510, 1000, 1000], [100, 490, 900, 510], [300, 490, 600, 510]],
    'level, no wider than the bead' => [
        [0, 0, 1000, 490],
        [0, 510, 1000, 1000],
        [100, 485, 900, 515],
        [100, 490, 900, 510],
    ],
    'level, beside each other' => [[0, 0, 300, 490], [500, 510, 1000, 1000], [100, 490, 900, 510], null],
    'upright, staggered' => [[0, 0, 490, 600], [510, 300, 1000, 1000], [490, 100, 510, 900], [490, 300, 510, 600]],
    'upright, no taller than the bead' => [
        [0, 0, 490, 1000],
        [510, 0, 1000, 1000],
        [485, 100, 515, 900],
        [490, 100, 510, 900],
    ],
    'upright, one above the other' => [[0, 0, 490, 300], [510, 500, 1000, 1000], [490, 100, 510, 900], null],
    'the bead short of the lower side' => [[0, 0, 1000, 480], [0, 510, 1000, 1000], [0, 490, 1000, 515], null],
    'the bead short of the upper side' => [[0, 0, 1000, 490], [0, 520, 1000, 1000], [0, 485, 1000, 510], null],
    'a side no deeper than the bead' => [[0, 485, 1000, 490], [0, 510, 1000, 1000], [0, 485, 1000, 515], null],
]);
