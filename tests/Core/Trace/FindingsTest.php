<?php

declare(strict_types=1);

use Apron\Trace\Check\Corners;
use Apron\Trace\Check\HeadCheck;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\Check\VerticalJoints;

require_once __DIR__.'/Support.php';

/** Severity, code and key of the findings of a detail, with the figures asked for. */
function said(array $detail, array $figures = []): array
{
    return array_map(
        fn ($f) => trim(
            $f->severity->value.
                ' '.
                $f->code.
                ' '.
                implode(' ', array_map(fn ($name) => $f->figures[$name] ?? '?', $figures)),
        ),
        traced($detail)->findings(),
    );
}

$full = [0, 0, 1000, 1000];

it('says a detail is sound where nothing is worse than a note', function () use ($full) {
    expect(said(wallDetail([one('a', 'sheet', 1, $full)])))->toBe(['pass detail.sound']);
    // A note besides is no reason against it: over a whole sheet a lap the wrong way does no harm.
    expect(
        said(
            wallDetail([
                one('back', 'sheet', 1, $full),
                one('up', 'sheet', 2, [0, 450, 1000, 1000]),
                one('low', 'sheet', 3, [0, 0, 1000, 550]),
            ]),
        ),
    )->toBe(['note lap.reversed', 'pass detail.sound']);
});

it('takes trim over a strip for no lap, and boards over boards, or sheets, for one', function (
    string $outer,
    string $inner,
    array $expected,
) use ($full) {
    $detail = wallDetail([
        one('back', 'sheet', 1, $full),
        one('up', $inner, 2, [0, 450, 1000, 1000]),
        one('low', $outer, 3, [0, 0, 1000, 550]),
    ]);
    expect(
        array_values(
            array_filter(said($detail, ['outer', 'inner']), fn (string $s) => str_contains($s, 'lap.reversed low up')),
        ),
    )->toBe($expected);
})->with([
    ['board', 'sheet', []],
    ['board', 'membrane', []],
    ['board', 'board', ['note lap.reversed low up']],
    ['sheet', 'board', ['note lap.reversed low up']],
    ['sheet', 'sheet', ['note lap.reversed low up']],
]);

it('tells what makes a wall that bears water a caution: the seal further on, not the wet', function () {
    $detail = wallDetail(
        [one('strip', 'sheet', 1, [0, 300, 1000, 600], ['edges' => ['top' => 'sealed', 'bottom' => 'adhered']])],
        ['tolerant' => ['face']],
    );
    // It runs down the bare wall onto the strip by its seal; behind that it would be kept in.
    expect(array_values(array_filter(said($detail, ['piece']), fn (string $s) => str_contains($s, ' rain.'))))->toBe([
        'caution rain.seal strip',
    ]);
});

it('tells water that comes to grief once for a place, over all strips that end there', function () {
    // The left sheet ends and drops its water on bare wood; the cover on it parts it into three strips, told as one
    // place.
    $detail = wallDetail([
        one('left', 'sheet', 1, [0, 500, 400, 1000]),
        one('cover', 'sheet', 2, [100, 600, 300, 900]),
        one('right', 'sheet', 1, [400, 0, 1000, 1000]),
    ]);
    expect(said($detail, ['piece', 'source', 'facet', 'from_mm', 'to_mm', 'up_mm', 'lines']))->toBe([
        'fail rain.wets left face face 0 400 500 0',
        'fail joint.open ? ? face 500 1000 ? ?',
    ]);
});

it('tells how water gets to bare wood', function (array $detail, string $how) {
    expect(said($detail, ['how'])[0])->toBe("fail rain.wets $how");
})->with([
    'off the end of a sheet' => [wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])]), 'trace.nothing-below'],
    'through a butt joint' => [
        wallDetail([one('up', 'sheet', 1, [0, 500, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 500])]),
        'trace.open-joint',
    ],
    'off the end of a sheet at an arris' => [
        roofDetail([piece('a', 'sheet', 1, [['roof', [0, 0, 1000, 500]]])]),
        'trace.nothing-below',
    ],
    'through a butt joint at an arris' => [
        roofDetail([piece('a', 'sheet', 1, [['roof', [0, 0, 1000, 500]]]), one('low', 'sheet', 2, [0, 0, 1000, 1000])]),
        'trace.open-joint',
    ],
    'along a pipe' => [
        wallDetail(
            [one('a', 'sheet', 1, [0, 0, 1000, 1000])],
            ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [0, 400, 1000, 600]]]],
        ),
        'trace.past-pipe',
    ],
]);

it('names the source apart where it is the unit or a fastener', function () {
    $wall = wallDetail(
        [
            one('a', 'sheet', 1, [0, 0, 1000, 1000]),
            one('skirt', 'sheet', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'adhered']]),
        ],
        [
            'fasteners' => [
                ['id' => 'f', 'facet' => 'face', 'at' => [500, 450], 'through' => ['skirt', 'a'], 'made_for' => ['a']],
            ],
        ],
    );
    $all = said($wall, ['piece', 'source', 'from_mm', 'to_mm']);
    expect($all)
        ->toContain('fail rain.trapped skirt face 0 1000')
        ->toContain('fail rain.trapped skirt fastener 0 1000');
});

it('has a code for every outcome that is a caution or worse', function (array $detail, string $expected) {
    expect(said($detail, ['piece'])[0])->toBe($expected);
})->with([
    'wets' => [wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])]), 'fail rain.wets a'],
    'trapped' => [
        wallDetail([
            one('a', 'sheet', 1, [0, 0, 1000, 1000]),
            one('b', 'sheet', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'sealed']]),
        ]),
        'fail rain.trapped b',
    ],
    'bond' => [
        wallDetail([one('a', 'sheet', 1, [0, 0, 1000, 1000]), one('b', 'membrane', 2, [0, 300, 1000, 600])]),
        'caution rain.bond b',
    ],
    'seal' => [
        wallDetail([one('a', 'sheet', 1, [0, 0, 1000, 1000]), one('b', 'fluid', 2, [0, 300, 1000, 600])]),
        'caution rain.seal b',
    ],
]);

it('judges what relies on a bond or a seal as the school has it, and nothing else', function (
    array $schools,
    array $expected,
) {
    $school = Apron\Trace\School::of($schools);
    $verdict = fn (array $detail) => (new Apron\Trace\DetailAssessment(
        Apron\Detail\DetailFormat::read(
            Apron\Json\Node::of($detail),
            new Apron\Material\Materials([], new Apron\Material\Catalogue),
        ),
        $school,
    ))->severity()->value;
    $back = one('a', 'sheet', 1, [0, 0, 1000, 1000]);
    expect(
        array_map($verdict, [
            wallDetail([$back, one('b', 'membrane', 2, [0, 300, 1000, 600])]), // one bond
            wallDetail([$back, one('b', 'fluid', 2, [0, 300, 1000, 600])]), // one seal
            // a bond whose failure does no harm
            wallDetail([$back, one('b', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']])]),
            wallDetail([$back, one('b', 'sheet', 2, [0, 300, 1000, 600])]), // recovered
            wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])]), // wet
        ]),
    )->toBe($expected);
})->with([
    'as traced' => [[], ['caution', 'caution', 'note', 'note', 'fail']],
    'said so' => [['bonds' => 'as-traced'], ['caution', 'caution', 'note', 'note', 'fail']],
    'trusted' => [['bonds' => 'trusted'], ['note', 'note', 'note', 'note', 'fail']],
    'distrusted' => [['bonds' => 'distrusted'], ['fail', 'fail', 'caution', 'note', 'fail']],
]);

it('says of laps what is short and what lies the wrong way', function () {
    // 40 mm of the 100 asked: under half. The lower sheet outside: the wrong way, however wide.
    expect(
        said(wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 500]), one('up', 'sheet', 2, [0, 460, 1000, 1000])]), [
            'outer',
            'inner',
            'lap_mm',
            'least_mm',
        ]),
    )->toBe(['fail lap.short up low 40 100']);
    expect(
        said(wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 560]), one('up', 'sheet', 2, [0, 500, 1000, 1000])]), [
            'outer',
            'lap_mm',
        ]),
    )->toBe(['caution lap.short up 60']);
    expect(
        said(wallDetail([one('up', 'sheet', 1, [0, 400, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 550])]), [
            'outer',
            'lap_mm',
        ]),
    )
        ->toContain('note lap.reversed low 150')
        ->not->toContain('fail lap.short low 150');
});

it('says where an upright joint is open, and not where it is covered or backed', function () {
    $halves = [one('l', 'sheet', 1, [0, 0, 500, 1000]), one('r', 'sheet', 1, [500, 0, 1000, 1000])];
    expect(said(wallDetail($halves), ['left', 'right', 'u_mm', 'from_mm', 'to_mm']))
        ->toBe(['fail joint.open l r 500 0 1000'])
        ->and(said(wallDetail([...$halves, one('tape', 'tape', 2, [450, 0, 550, 1000])])))
        ->toBe(['pass detail.sound'])
        ->and(
            said(
                wallDetail([
                    one('back', 'sheet', 1, [0, 0, 1000, 1000]),
                    one('l', 'sheet', 2, [0, 0, 500, 1000]),
                    one('r', 'sheet', 2, [500, 0, 1000, 1000]),
                ]),
            ),
        )
        ->toBe(['pass detail.sound']);
});

it('asks of what lies across an upright joint that it lies outside of both', function (
    int $left,
    int $tape,
    int $right,
    string $verdict,
) {
    $joints = traced(
        wallDetail([
            one('l', 'sheet', $left, [0, 0, 500, 1000]),
            one('t', 'tape', $tape, [450, 0, 550, 1000]),
            one('r', 'sheet', $right, [500, 0, 1000, 1000]),
        ]),
    )->of(VerticalJoints::class)->joints;
    expect(array_map(fn (array $j) => [$j['u'], $j['v'], $j['verdict']->value], $joints))->toBe([
        [500.0, [0.0, 1000.0], $verdict],
    ]);
})->with([[1, 3, 2, 'pass'], [2, 3, 1, 'pass'], [1, 2, 3, 'note'], [3, 2, 1, 'note'], [2, 1, 3, 'note']]);

it('holds fall and dam to the head of water, and a school to its answer', function () {
    $joint = ['outer' => 'open', 'insulation' => true, 'inner' => true];
    $pitch = fn (float $dam) => traced(
        openingDetail(
            [one('p', 'sheet', 1, [-500, -500, 1500, 0])],
            ['sill_fall_mm' => 6, 'back_dam_mm' => $dam],
            ['unit' => ['z' => [0, 80], 'joints' => ['sill' => $joint]]],
        ),
    )->of(SillCheck::class)->sill['pitch']->value;
    expect($pitch(25))
        ->toBe('pass')
        ->and($pitch(24))
        ->toBe('caution')
        ->and(Apron\Trace\School::of(['outer-sill' => 'weather-sealed'])->weatherSealed)
        ->toBeTrue()
        ->and(Apron\Trace\School::of(['outer-sill' => 'open'])->weatherSealed)
        ->toBeFalse()
        ->and(Apron\Trace\School::of([])->weatherSealed)
        ->toBeFalse();
});

it('says of an opening what is open, exposed, or ends short of the unit', function () {
    $joint = ['outer' => 'open', 'insulation' => true, 'inner' => true];
    $unit = [
        'unit' => [
            'z' => [0, 80],
            'joints' => ['sill' => $joint, 'head' => $joint, 'jamb-left' => $joint, 'jamb-right' => $joint],
        ],
    ];
    $plane = piece(
        'p',
        'sheet',
        1,
        [
            ['face', [-500, -500, 1500, 0], ['joined' => ['f']]],
            ['face', [-500, 0, 0, 1000], ['joined' => ['f']]],
            ['face', [1000, 0, 1500, 1000], ['joined' => ['f']]],
            ['face', [-500, 1000, 1500, 1500], ['joined' => ['f']]],
        ],
        ['role' => 'plane', 'air' => true, 'air_layer' => true],
    );
    $bare = said(openingDetail([$plane], [], $unit), ['corner', 'side']);
    foreach (['bottom-left', 'bottom-right', 'top-left', 'top-right'] as $corner) {
        expect($bare)->toContain("fail corner.open $corner ?");
    }
    foreach (['sill', 'head', 'jamb-left', 'jamb-right'] as $side) {
        expect($bare)->toContain("caution air.broken ? $side");
    }
    expect($bare)
        ->toContain('fail sill.end-dams ? ?')
        ->toContain('fail sill.pan-upturn ? ?')
        // Level, pitched in, and with no seal inside.
        ->and(said(openingDetail([$plane], ['sill_pitch' => 'in'], $unit)))
        ->toContain('fail sill.pitch')
        ->and(said(openingDetail([$plane], ['sill_pitch' => 'level', 'sill_fall_mm' => 0], $unit)))
        ->toContain('caution sill.pitch')
        ->and(
            said(
                openingDetail(
                    [$plane],
                    [],
                    array_replace_recursive($unit, ['unit' => ['joints' => ['sill' => ['inner' => false]]]]),
                ),
            ),
        )
        ->toContain('fail sill.inner-seal')
        ->and(
            said(
                openingDetail(
                    [$plane],
                    [],
                    array_replace_recursive($unit, ['unit' => ['joints' => ['sill' => ['outer' => 'sealed']]]]),
                ),
            ),
        )
        ->toContain('fail sill.outer-joint');
    // Before anything is set into it there is no sill to judge and no air line to look for.
    $empty = said(openingDetail([$plane]));
    expect(array_filter($empty, fn (string $s) => str_contains($s, 'sill.') || str_contains($s, 'air.')))->toBe([]);
    // A pan, or a unit without joints, is something to judge.
    $pan = piece('pan', 'membrane', 2, [['sill', [0, 0, 1000, 140]]], ['role' => 'pan']);
    expect(said(openingDetail([$plane, $pan])))
        ->toContain('fail sill.end-dams')
        ->and(said(openingDetail([$plane, one('u', 'unit', 2, [-20, -20, 1020, 1020])])))
        ->toContain('fail sill.end-dams');
});

it('says of a head strip that lies on the plane that it is exposed, by its edge', function () {
    $plane = one('plane', 'sheet', 1, [0, 0, 1000, 1000], ['role' => 'plane']);
    $strip = fn (string $edge) => one(
        'strip',
        'membrane',
        2,
        [0, 300, 1000, 600],
        ['role' => 'head-flashing', 'edges' => ['top' => $edge, 'bottom' => 'open']],
    );
    $heads = fn (string $edge) => array_values(
        array_filter(said(wallDetail([$plane, $strip($edge)]), ['piece']), fn (string $s) => str_contains($s, 'head.')),
    );
    // Behind it is the plane: were its bond to fail, nothing is harmed, and the head is a note.
    expect($heads('open'))
        ->toBe(['fail head.exposed strip'])
        ->and($heads('adhered'))
        ->toBe([])
        ->and($heads('sealed'))
        ->toBe([]);
    // Were its foot bonded too, the one bond is all there is.
    expect(
        array_values(
            array_filter(
                said(
                    wallDetail([$plane, one('strip', 'membrane', 2, [0, 300, 1000, 600], ['role' => 'head-flashing'])]),
                    ['piece'],
                ),
                fn (string $s) => str_contains($s, 'head.'),
            ),
        ),
    )->toBe(['caution head.exposed strip']);
    // Under the plane above, all along; not where it is longer than that.
    $above = fn (float $to) => one('above', 'sheet', 3, [0, 500, $to, 1000], ['role' => 'plane']);
    expect(traced(wallDetail([$plane, $strip('open'), $above(1000)]))->of(HeadCheck::class)->head['strip']->value)
        ->toBe('pass')
        ->and(traced(wallDetail([$plane, $strip('open'), $above(900)]))->of(HeadCheck::class)->head['strip']->value)
        ->toBe('fail')
        // What only meets its top does not go on above it over it, nor what lies under it, nor what is no plane.
        ->and(
            traced(
                wallDetail([$plane, $strip('open'), one('x', 'sheet', 3, [0, 600, 1000, 1000], ['role' => 'plane'])]),
            )->of(HeadCheck::class)->head['strip']->value,
        )
        ->toBe('fail')
        ->and(
            traced(
                wallDetail([$plane, $strip('open'), one('x', 'sheet', 3, [0, 400, 1000, 600], ['role' => 'plane'])]),
            )->of(HeadCheck::class)->head['strip']->value,
        )
        ->toBe('fail')
        ->and(
            traced(wallDetail([$plane, $strip('open'), one('x', 'sheet', 3, [0, 500, 1000, 1000])]))->of(
                HeadCheck::class,
            )->head['strip']->value,
        )
        ->toBe('fail');
});

it('knows a folded top for no top edge', function () {
    // Up over an arris: the roof's membrane folded down the wall as a flashing.
    $folded = piece(
        'f',
        'metal',
        2,
        [['face', [0, 800, 1000, 1000], ['joined' => ['j']]], ['roof', [0, 0, 1000, 100], ['joined' => ['j']]]],
        ['role' => 'head-flashing'],
    );
    $verdict = fn (array $piece) => traced(
        roofDetail([
            one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
            piece('r', 'sheet', 1, [['roof', [0, 0, 1000, 500]]], ['role' => 'plane']),
            $piece,
        ]),
    )->of(HeadCheck::class)->head['f']->value;
    expect($verdict($folded))->toBe('fail'); // its own top on the roof, open, under nothing
    $under = piece(
        'f',
        'metal',
        1 + 1,
        [['face', [0, 800, 1000, 1000], ['joined' => ['j']]], ['roof', [0, 0, 1000, 100], ['joined' => ['j']]]],
        ['role' => 'head-flashing'],
    );
    $lapped = traced(
        roofDetail([
            one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
            $under,
            piece('r', 'sheet', 3, [['roof', [0, 50, 1000, 500]]], ['role' => 'plane']),
        ]),
    );
    expect($lapped->of(HeadCheck::class)->head['f']->value)->toBe('pass');
    // Not joined there, its top on the wall is a top edge after all; folded over half its length only, on the other
    // half.
    $slit = piece(
        'f',
        'metal',
        2,
        [['face', [0, 800, 1000, 1000]], ['roof', [0, 0, 1000, 100]]],
        ['role' => 'head-flashing'],
    );
    expect(
        traced(
            roofDetail([
                one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
                $slit,
                piece('r', 'sheet', 3, [['roof', [0, 50, 1000, 500]]], ['role' => 'plane']),
            ]),
        )->of(HeadCheck::class)->head['f']->value,
    )->toBe('fail');
    $half = piece(
        'f',
        'metal',
        2,
        [['face', [0, 800, 1000, 1000], ['joined' => ['j']]], ['roof', [0, 0, 500, 100], ['joined' => ['j']]]],
        ['role' => 'head-flashing'],
    );
    expect(
        traced(
            roofDetail([
                one('wall', 'sheet', 1, [0, 0, 1000, 1000]),
                $half,
                piece('r', 'sheet', 3, [['roof', [0, 50, 1000, 500]]], ['role' => 'plane']),
            ]),
        )->of(HeadCheck::class)->head['f']->value,
    )->toBe('fail');
    // Below the arris, where it is joined to a patch on the wall itself.
    $up = piece(
        'f',
        'metal',
        2,
        [['face', [0, 300, 1000, 500], ['joined' => ['j']]], ['face', [0, 500, 1000, 600], ['joined' => ['j']]]],
        ['role' => 'head-flashing'],
    );
    expect(
        traced(
            wallDetail([
                one('a', 'sheet', 1, [0, 0, 1000, 1000]),
                $up,
                one('over', 'sheet', 3, [0, 550, 1000, 1000], ['role' => 'plane']),
            ]),
        )->of(HeadCheck::class)->head['f']->value,
    )->toBe('pass');
    // Over the arris of a sill: an apron that goes on into the opening, sealed at its inner end. Slit at the arris, or
    // short of it, its top is an open edge.
    $apron = fn (float $top, string $label, string $to = 'sill') => openingDetail([
        one('a', 'sheet', 1, [-500, -500, 1500, 0]),
        piece(
            'f',
            'metal',
            2,
            [
                ['face', [0, -200, 1000, $top], ['joined' => ['j']]],
                [$to, [0, 0, $to === 'sill' ? 1000 : 100, 100], ['joined' => [$label], 'edges' => ['top' => 'sealed']]],
            ],
            ['role' => 'head-flashing'],
        ),
    ]);
    $onFace = fn (array $d) => traced($d)->of(HeadCheck::class)->head['f']->value;
    expect($onFace($apron(0, 'j')))
        ->toBe('note')
        ->and($onFace($apron(0, 'k')))
        ->toBe('fail')
        ->and($onFace($apron(-10, 'j')))
        ->toBe('fail')
        ->and($onFace($apron(0, 'j', 'jamb-left')))
        ->toBe('fail');
});

it('covers a corner only by one formable piece, whole over sill, jamb and face', function (
    array $piece,
    array $expected,
) {
    $corners = array_map(fn ($s) => $s->value, traced(openingDetail([$piece]))->of(Corners::class)->corners);
    expect([$corners['bottom-left'], $corners['bottom-right'], $corners['top-left']])->toBe($expected);
})->with(function () {
    $patches = fn (array $change = []) => array_values(
        array_filter(
            array_replace(
                [
                    'sill' => ['sill', [0, 0, 1000, 140], ['joined' => ['p']]],
                    'left' => ['jamb-left', [0, 0, 140, 150], ['joined' => ['p']]],
                    'right' => ['jamb-right', [0, 0, 140, 150], ['joined' => ['p']]],
                    'face' => ['face', [-75, -75, 1075, 0], ['joined' => ['p']]],
                ],
                $change,
            ),
        ),
    );

    return [
        'a formable pan' => [piece('p', 'formable', 1, $patches()), ['pass', 'pass', 'fail']],
        'a coat' => [piece('p', 'fluid', 1, $patches()), ['pass', 'pass', 'fail']],
        'a flat membrane has not the material' => [piece('p', 'membrane', 1, $patches()), ['fail', 'fail', 'fail']],
        'slit from the left jamb' => [
            piece('p', 'formable', 1, $patches(['left' => ['jamb-left', [0, 0, 140, 150]]])),
            ['fail', 'pass', 'fail'],
        ],
        'slit from the face' => [
            piece('p', 'formable', 1, $patches(['face' => ['face', [-75, -75, 1075, 0]]])),
            ['fail', 'fail', 'fail'],
        ],
        'short of the left corner on the sill' => [
            piece('p', 'formable', 1, $patches(['sill' => ['sill', [10, 0, 1000, 140], ['joined' => ['p']]]])),
            ['fail', 'pass', 'fail'],
        ],
        'short of the right corner on the sill' => [
            piece('p', 'formable', 1, $patches(['sill' => ['sill', [0, 0, 990, 140], ['joined' => ['p']]]])),
            ['pass', 'fail', 'fail'],
        ],
        'set back from the arris on the sill' => [
            piece('p', 'formable', 1, $patches(['sill' => ['sill', [0, 10, 1000, 140], ['joined' => ['p']]]])),
            ['fail', 'fail', 'fail'],
        ],
        'set back from the arris on the jamb' => [
            piece('p', 'formable', 1, $patches(['left' => ['jamb-left', [10, 0, 140, 150], ['joined' => ['p']]]])),
            ['fail', 'pass', 'fail'],
        ],
        'above the corner on the jamb' => [
            piece('p', 'formable', 1, $patches(['left' => ['jamb-left', [0, 10, 140, 150], ['joined' => ['p']]]])),
            ['fail', 'pass', 'fail'],
        ],
        'short of the left corner on the face' => [
            piece('p', 'formable', 1, $patches(['face' => ['face', [10, -75, 1075, 0], ['joined' => ['p']]]])),
            ['fail', 'pass', 'fail'],
        ],
        'short of the right corner on the face' => [
            piece('p', 'formable', 1, $patches(['face' => ['face', [-75, -75, 990, 0], ['joined' => ['p']]]])),
            ['pass', 'fail', 'fail'],
        ],
        'flush with the corners on the face' => [
            piece('p', 'formable', 1, $patches(['face' => ['face', [0, -75, 1000, 0], ['joined' => ['p']]]])),
            ['pass', 'pass', 'fail'],
        ],
        'shielded above by a patch past the corner' => [
            one('p', 'membrane', 1, [-50, 900, 1050, 1100]),
            ['fail', 'fail', 'note'],
        ],
        'not shielded by one that ends at it' => [
            one('p', 'membrane', 1, [0, 900, 1050, 1100]),
            ['fail', 'fail', 'fail'],
        ],
    ];
});
