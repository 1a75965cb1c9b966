<?php

declare(strict_types=1);

use Apron\Detail\DetailFormat;
use Apron\Detail\Interval;
use Apron\Detail\Layout;
use Apron\Detail\Overlap;
use Apron\Detail\Rect;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;

require_once __DIR__.'/../Trace/Support.php';

function laidOut(array $detail): Layout
{
    return new Layout(DetailFormat::read(Node::of($detail), new Materials([], new Catalogue)));
}

it('finds what lies over what, which inside, and where the two touch', function () {
    $pieces = [
        one('board', 'board', 1, [0, 0, 1000, 1000]),
        one('tape', 'tape', 2, [0, 400, 1000, 500]),
        one('sheet', 'sheet', 3, [0, 300, 1000, 1000]),
    ];
    $overlaps = laidOut(wallDetail($pieces))->overlaps();
    $told = array_map(
        fn (Overlap $o) => [$o->inner->piece->id, $o->outer->piece->id, $o->rect->toArray(), $o->isApart()],
        $overlaps,
    );
    expect($told)->toBe([
        ['board', 'tape', [0.0, 400.0, 1000.0, 500.0], false],
        ['board', 'sheet', [0.0, 300.0, 1000.0, 1000.0], false],
        ['tape', 'sheet', [0.0, 400.0, 1000.0, 500.0], false],
    ]);
    // The sheet touches the board below the tape and above it.
    expect(array_map(fn (Rect $r) => $r->toArray(), $overlaps[1]->touching()))->toBe([
        [0.0, 300.0, 1000.0, 400.0],
        [0.0, 500.0, 1000.0, 1000.0],
    ]);
});

it('keeps two apart where a third lies between them all over', function () {
    $pieces = [
        one('a', 'sheet', 1, [0, 0, 1000, 500]),
        one('b', 'membrane', 2, [0, 300, 1000, 600]),
        one('c', 'sheet', 3, [0, 400, 1000, 900]),
    ];
    $apart = laidOut(wallDetail($pieces))->overlaps()[1];
    expect($apart->isApart())->toBeTrue()->and($apart->touching())->toBe([]);
});

it('cuts rectangles out of a rectangle without losing or doubling any of it', function (int $seed) {
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $n = fn (int $least, int $most): float => (float) $random->getInt($least, $most);
    $whole = new Rect(0, 0, 40, 40);
    $holes = [];
    for ($i = 0; $i < 5; $i++) {
        [$u, $v] = [$n(-5, 38), $n(-5, 38)];
        $holes[] = new Rect($u, $v, $u + $n(1, 15), $v + $n(1, 15));
    }
    $left = $whole->without($holes);
    for ($u = 0.5; $u < 40; $u++) {
        for ($v = 0.5; $v < 40; $v++) {
            $in = fn (Rect $r): bool => $u > $r->u0 && $u < $r->u1 && $v > $r->v0 && $v < $r->v1;
            expect(count(array_filter($left, $in)))->toBe(array_filter($holes, $in) === [] ? 1 : 0);
        }
    }
    expect($left === [])->toBe($whole->coveredBy($holes));
})->with([1, 2, 3, 4]);

it('finds the first stretch of a line that nothing covers', function (array $runs, ?array $bare) {
    $found = Interval::of(0, 10)->firstBare($runs);
    expect($found === null ? null : [$found->from, $found->to])->toBe($bare);
})->with([
    'nothing there' => [[], [0.0, 10.0]],
    'covered by one' => [[[-1, 11]], null],
    'covered by two out of order' => [[[5, 10], [0, 5]], null],
    'a gap between two' => [[[0, 4], [6, 10]], [4.0, 6.0]],
    'bare at its end' => [[[0, 7]], [7.0, 10.0]],
    'bare at its start' => [[[3, 10]], [0.0, 3.0]],
]);
