<?php

declare(strict_types=1);

use Apron\Detail\Layout;
use Apron\Rules\Severity;
use Apron\Trace\Check\Corners;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\DetailAssessment;

require_once __DIR__.'/../Trace/Support.php';

/** Whether two patches of one piece, sharing a label, come out joined. */
function joins(array $a, array $b, ?array $detail = null): bool
{
    $detail ??= openingDetail([
        piece('p', 'formable', 1, [[$a[0], $a[1], ['joined' => ['x']]], [$b[0], $b[1], ['joined' => ['x']]]]),
    ]);
    $layout = new Layout(traced($detail)->detail);

    return $layout->of['p'][0]->joined !== [];
}

it('joins patches that meet edge to edge, in a plane or over an arris, and no others', function (
    array $a,
    array $b,
    bool $joined,
) {
    expect(joins($a, $b))->toBe($joined)->and(joins($b, $a))->toBe($joined);
})->with([
    'side by side' => [['face', [-300, 0, -200, 400]], ['face', [-200, 100, -100, 500]], true],
    'one over the other' => [['face', [-300, 0, -200, 400]], ['face', [-250, 400, -100, 500]], true],
    'only a corner touches' => [['face', [-300, 0, -200, 400]], ['face', [-200, 400, -100, 500]], false],
    'a gap between' => [['face', [-300, 0, -200, 400]], ['face', [-190, 0, -100, 400]], false],
    'side by side at other heights' => [['face', [-300, 0, -200, 400]], ['face', [-200, 450, -100, 500]], false],
    'face and sill' => [['face', [0, -100, 500, 0]], ['sill', [200, 0, 600, 140]], true],
    'face and sill, not below it' => [['face', [-300, -100, -100, 0]], ['sill', [0, 0, 600, 140]], false],
    'face short of the sill' => [['face', [0, -100, 500, -10]], ['sill', [0, 0, 600, 140]], false],
    'sill set in' => [['face', [0, -100, 500, 0]], ['sill', [0, 10, 600, 140]], false],
    'face and head' => [['face', [0, 1000, 500, 1100]], ['head', [0, 0, 500, 140]], true],
    'face above the head' => [['face', [0, 1010, 500, 1100]], ['head', [0, 0, 500, 140]], false],
    'face and left jamb' => [['face', [-100, 0, 0, 500]], ['jamb-left', [0, 400, 140, 900]], true],
    'face beside the left jamb, higher' => [['face', [-100, 0, 0, 300]], ['jamb-left', [0, 400, 140, 900]], false],
    'face off the left jamb' => [['face', [-100, 0, -5, 500]], ['jamb-left', [0, 0, 140, 900]], false],
    'left jamb set in' => [['face', [-100, 0, 0, 500]], ['jamb-left', [5, 0, 140, 900]], false],
    'face and right jamb' => [['face', [1000, 0, 1100, 500]], ['jamb-right', [0, 0, 140, 900]], true],
    'face off the right jamb' => [['face', [1005, 0, 1100, 500]], ['jamb-right', [0, 0, 140, 900]], false],
    'sill and left jamb' => [['sill', [0, 0, 500, 140]], ['jamb-left', [0, 0, 140, 100]], true],
    'sill short of the left jamb' => [['sill', [5, 0, 500, 140]], ['jamb-left', [0, 0, 140, 100]], false],
    'left jamb above the sill' => [['sill', [0, 0, 500, 140]], ['jamb-left', [0, 5, 140, 100]], false],
    'sill and jamb at other depths' => [['sill', [0, 0, 500, 60]], ['jamb-left', [70, 0, 140, 100]], false],
    'sill and right jamb' => [['sill', [500, 0, 1000, 140]], ['jamb-right', [0, 0, 140, 100]], true],
    'sill short of the right jamb' => [['sill', [500, 0, 995, 140]], ['jamb-right', [0, 0, 140, 100]], false],
    'head and left jamb' => [['head', [0, 0, 500, 140]], ['jamb-left', [0, 900, 140, 1000]], true],
    'head over a jamb that stops' => [['head', [0, 0, 500, 140]], ['jamb-left', [0, 900, 140, 990]], false],
    'head and right jamb' => [['head', [500, 0, 1000, 140]], ['jamb-right', [0, 900, 140, 1000]], true],
    'head short of the right jamb' => [['head', [500, 0, 995, 140]], ['jamb-right', [0, 900, 140, 1000]], false],
    'sill and head never meet' => [['sill', [0, 0, 1000, 140]], ['head', [0, 0, 1000, 140]], false],
]);

it('joins over a stated fold only where the foot of one meets the height the fold is at', function (
    array $roof,
    array $face,
    bool $joined,
) {
    expect(
        joins(
            [],
            [],
            roofDetail([
                piece('p', 'membrane', 1, [['roof', $roof, ['joined' => ['x']]], ['face', $face, ['joined' => ['x']]]]),
            ]),
        ),
    )->toBe($joined);
})->with([
    [[0, 0, 500, 200], [300, 900, 800, 1000], true],
    [[0, 10, 500, 200], [300, 900, 800, 1000], false],
    [[0, 0, 500, 200], [300, 900, 800, 990], false],
    [[0, 0, 500, 200], [600, 900, 800, 1000], false],
]);

it(
    'puts a tucked patch directly under the innermost patch of its piece, several in the order of their steps',
    function () {
        $layout = new Layout(
            traced(
                wallDetail([
                    one('a', 'sheet', 1, [0, 0, 1000, 300]),
                    one('s', 'sheet', 2, [0, 500, 1000, 1000]),
                    one('b', 'sheet', 3, [0, 100, 1000, 600]),
                    one('t2', 'metal', 5, [0, 450, 1000, 560], ['under' => 's']),
                    one('t1', 'metal', 4, [0, 430, 1000, 540], ['under' => 's']),
                ]),
            )->detail,
        );
        expect(array_map(fn ($l) => $l->piece->id, $layout->facet('face')))->toBe(['a', 't1', 't2', 's', 'b']);
    },
);

it(
    'lets the school of the weather-sealed joint close the sill, where all four sides are and have inner seals',
    function (array $change, bool $school, Severity $verdict) {
        $sealed = ['outer' => 'sealed', 'inner' => true];
        $joints = array_replace(
            ['sill' => $sealed, 'head' => $sealed, 'jamb-left' => $sealed, 'jamb-right' => $sealed],
            $change,
        );
        $detail = traced(
            openingDetail(
                [one('a', 'sheet', 1, [-500, -500, 1500, 0])],
                [],
                ['unit' => ['z' => [0, 80], 'joints' => $joints]],
            ),
        )->detail;
        expect(
            (new DetailAssessment($detail, new Apron\Trace\School($school)))->of(SillCheck::class)->sill['outer_joint'],
        )->toBe($verdict);
    },
)->with([
    'of another school' => [[], false, Severity::Fail],
    'of that school' => [[], true, Severity::Caution],
    'with an open jamb' => [['jamb-left' => ['outer' => 'open', 'inner' => true]], true, Severity::Fail],
    'without an inner seal' => [['head' => ['outer' => 'sealed', 'inner' => false]], true, Severity::Fail],
    'sill open' => [['sill' => ['outer' => 'open', 'inner' => true]], true, Severity::Pass],
]);

it('looks at the foot of the flange and at no other patch of it', function (
    array $flange,
    string|array $bottom,
    Severity $verdict,
) {
    $detail = traced(
        openingDetail(
            [
                one('a', 'sheet', 1, [-500, -500, 1500, 0]),
                one('unit', 'unit', 2, $flange, ['edges' => ['bottom' => $bottom]]),
            ],
            [],
            ['unit' => ['z' => [0, 80], 'flange' => 'unit']],
        ),
    )->detail;
    expect((new DetailAssessment($detail))->of(SillCheck::class)->sill['outer_joint'])->toBe($verdict);
})->with([
    'sealed' => [[-25, -25, 1025, 1025], 'sealed', Severity::Fail],
    'bonded' => [[-25, -25, 1025, 1025], 'adhered', Severity::Fail],
    'open' => [[-25, -25, 1025, 1025], 'open', Severity::Pass],
    'flush with the sill' => [[-25, 0, 1025, 1025], 'sealed', Severity::Fail],
    'that stops above the sill' => [[-25, 10, 1025, 1025], 'sealed', Severity::Pass],
    'sealed but for a gap' => [
        [-25, -25, 1025, 1025],
        [['from' => -25, 'to' => 400, 'edge' => 'sealed'], ['from' => 450, 'to' => 1025, 'edge' => 'sealed']],
        Severity::Pass,
    ],
]);

it('shields an upper corner only by a patch that it lies inside of', function (array $rect, Severity $verdict) {
    expect(traced(openingDetail([one('strip', 'membrane', 1, $rect)]))->of(Corners::class)->corners['top-left'])->toBe(
        $verdict,
    );
})->with([
    [[-10, 990, 500, 1100], Severity::Note],
    [[0, 990, 500, 1100], Severity::Fail],
    [[-10, 1000, 500, 1100], Severity::Fail],
    [[-100, 900, 0, 1100], Severity::Fail],
    [[-100, 900, 50, 1000], Severity::Fail],
]);

it('cuts an edge into the stretches it holds in, along the side it is on', function () {
    $edges = new Apron\Detail\Edges([
        'top' => [
            new Apron\Detail\EdgeRun(100, 300, Apron\Detail\Edge::Sealed),
            new Apron\Detail\EdgeRun(300, 400, Apron\Detail\Edge::Adhered),
        ],
        'left' => Apron\Detail\Edge::Adhered,
    ]);
    $patch = new Apron\Detail\Patch('p', 'face', new Apron\Detail\Rect(100, 700, 600, 900), [], 1, null, $edges, false);
    $laid = new Apron\Detail\Laid(
        new Apron\Detail\Piece(
            'p',
            (new Apron\Material\Catalogue)->find('polyolefin-wrap'),
            Apron\Detail\PieceKind::Sheet,
            null,
            false,
            false,
            1,
            null,
            new Apron\Detail\Edges,
            [$patch],
            null,
        ),
        $patch,
        0,
    );
    $runs = fn (Apron\Detail\Side $side) => array_map(
        fn (array $r) => [$r['from'], $r['to'], $r['edge']->value],
        $laid->runs($side),
    );
    expect($runs(Apron\Detail\Side::Top))
        ->toEqual([[100, 300, 'sealed'], [300, 400, 'adhered'], [400, 600, 'open']])
        ->and($runs(Apron\Detail\Side::Bottom))
        ->toEqual([[100, 600, 'open']])
        ->and($runs(Apron\Detail\Side::Left))
        ->toEqual([[700, 900, 'adhered']])
        ->and($runs(Apron\Detail\Side::Right))
        ->toEqual([[700, 900, 'open']]);
});

it(
    'tucks under what is itself tucked, whichever is listed first, and lays by its step what has nothing here to be tucked under',
    function (array $pieces, array $order) {
        $on = (new Layout(traced(roofDetail($pieces))->detail))->on['face'];
        expect(array_map(fn ($l) => $l->piece->id, $on))->toBe($order);
    },
)->with(function () {
    $sheet = fn (string $id, int $step, array $more = []) => one(
        $id,
        'sheet',
        $step,
        [0, 100 * $step, 1000, 100 * $step + 250],
        $more,
    );
    $roof = piece('roof', 'sheet', 2, [['roof', [0, 0, 1000, 500]]]);

    return [
        'a chain of three' => [
            [$sheet('a', 1), $sheet('b', 2, ['under' => 'a']), $sheet('c', 3, ['under' => 'b'])],
            ['c', 'b', 'a'],
        ],
        'the same, listed from its end' => [
            [$sheet('c', 3, ['under' => 'b']), $sheet('b', 2, ['under' => 'a']), $sheet('a', 1)],
            ['c', 'b', 'a'],
        ],
        'one that waits for another, and one that does not' => [
            [$sheet('d', 4, ['under' => 'c']), $sheet('c', 3, ['under' => 'a']), $sheet('b', 2), $sheet('a', 1)],
            ['d', 'c', 'a', 'b'],
        ],
        'under a piece on the other facet only' => [
            [$roof, $sheet('a', 1), $sheet('b', 3, ['under' => 'roof']), $sheet('c', 5)],
            ['a', 'b', 'c'],
        ],
        'first of all by its step' => [[$roof, $sheet('a', 4), $sheet('b', 1, ['under' => 'roof'])], ['b', 'a']],
        'last of all by its step' => [[$roof, $sheet('a', 1), $sheet('b', 6, ['under' => 'roof'])], ['a', 'b']],
    ];
});
