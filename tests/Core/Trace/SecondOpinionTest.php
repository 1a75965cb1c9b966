<?php

declare(strict_types=1);

use Apron\Trace\Check\Laps;

// A second tracer and a second reader of laps, written from the rules alone and as plainly as can be: one facet, whole
// patches, every branch walked. Slow and simple, to hold the fast one to; on a coarse grid, so that edges often fall
// together.

require_once __DIR__.'/Support.php';
require_once __DIR__.'/second-opinion.php';

// SEEDS=6 for a quick look, as the mutation run takes one.
$seeds = (int) (getenv('SEEDS') ?: 40);

/** Sheets, strips and coats at places a tenth of the wall apart, each in a step of its own. @return list<array> */
function coarseWall(int $seed): array
{
    mt_srand($seed);
    $pieces = [];
    for ($i = 0, $n = mt_rand(2, 8); $i < $n; $i++) {
        [$v0, $v1] = [100 * mt_rand(0, 9), 100 * mt_rand(1, 10)];
        [$u0, $u1] = mt_rand(0, 2) > 0 ? [0, 1000] : [100 * mt_rand(0, 5), 100 * mt_rand(6, 10)];
        if ($v0 >= $v1) {
            [$v0, $v1] = [$v1 - 100, $v0 + 100];
        }
        $edge = fn () => ['open', 'open', 'adhered', 'sealed'][mt_rand(0, 3)];
        $pieces[] = one(
            "p$i",
            'sheet',
            $i + 1,
            [$u0, $v0, $u1, $v1],
            ['edges' => ['top' => $edge(), 'bottom' => $edge()]],
        );
    }

    return $pieces;
}

it('agrees with the plain tracer on walls whose edges fall together', function (int $seed) {
    foreach (range(20 * $seed, 20 * $seed + 19) as $n) {
        $pieces = coarseWall($n);
        foreach (traced(wallDetail($pieces))->strips as $strip) {
            if ($strip->source === 'top') {
                [$outcome, $lines] = secondOpinion(columnAt($pieces, ($strip->u0 + $strip->u1) / 2));
                expect([$strip->outcome->told(), $strip->lines])->toBe(
                    [$outcome, $lines],
                    "wall $n, $strip->u0 to $strip->u1: ".
                        json_encode(columnAt($pieces, ($strip->u0 + $strip->u1) / 2)),
                );
            }
        }
    }
})->with(range(1, $seeds));

/**
 * What two sheets are to each other, read from the definition.
 *
 * @return array{bool, float, bool, string}|null level, size, reversed, verdict
 */
function readLap(array $inner, array $outer): ?array
{
    [$a, $b] = [$inner, $outer];
    [$w, $h] = [min($a[2], $b[2]) - max($a[0], $b[0]), min($a[3], $b[3]) - max($a[1], $b[1])];
    if ($w <= 0 || $h <= 0) {
        return null;
    }
    $beyond = fn (int $low, int $high) => ($a[$low] <=> $b[$low]) !== 0 &&
        ($a[$low] <=> $b[$low]) === ($a[$high] <=> $b[$high]);
    [$level, $upright] = [$beyond(1, 3), $beyond(0, 2)];
    if (! $level && ! $upright) {
        return null;
    }
    $horizontal = $level && $upright ? $w > $h : $level;
    [$size, $least] = $horizontal ? [$h, 100] : [$w, 150];

    return [
        $horizontal,
        (float) $size,
        $horizontal && $b[3] < $a[3],
        $size >= $least ? 'pass' : ($size >= $least / 2 ? 'caution' : 'fail'),
    ];
}

$told = fn (array $pieces) => array_map(
    fn ($l) => [$l->horizontal, $l->size, $l->reversed, $l->verdict->value],
    traced(wallDetail($pieces))->of(Laps::class)->laps,
);

it('agrees with the plain reading of a lap', function (int $seed) use ($told) {
    mt_srand($seed);
    $rect = function (): array {
        [$u, $v] = [50 * mt_rand(0, 16), 50 * mt_rand(0, 16)];

        return [$u, $v, min(1000, $u + 50 * mt_rand(1, 10)), min(1000, $v + 50 * mt_rand(1, 10))];
    };
    for ($i = 0; $i < 25; $i++) {
        [$inner, $outer] = [$rect(), $rect()];
        $lap = readLap($inner, $outer);
        expect($told([one('a', 'sheet', 1, $inner), one('b', 'sheet', 2, $outer)]))->toBe(
            $lap === null ? [] : [$lap],
            json_encode([$inner, $outer]),
        );
        // Cut across both ways into four and joined again, in any order.
        [$u, $v] = [$outer[0] + 50 * mt_rand(1, 9), $outer[1] + 50 * mt_rand(1, 9)];
        if ($u < $outer[2] && $v < $outer[3]) {
            $quarters = [
                [$outer[0], $outer[1], $u, $v],
                [$u, $outer[1], $outer[2], $v],
                [$outer[0], $v, $u, $outer[3]],
                [$u, $v, $outer[2], $outer[3]],
            ];
            shuffle($quarters);
            expect(
                $told([
                    one('a', 'sheet', 1, $inner),
                    piece('b', 'sheet', 2, array_map(fn (array $r) => ['face', $r, ['joined' => ['j']]], $quarters)),
                ]),
            )->toBe($lap === null ? [] : [$lap], 'in four: '.json_encode([$inner, $quarters]));
        }
        // Cut in two and joined again, either piece laps as before: no edge is where it was cut.
        foreach ([0, 1] as $which) {
            foreach ([[0, 2], [1, 3]] as [$low, $high]) {
                $whole = [$inner, $outer][$which];
                $cut = $whole[$low] + 50 * mt_rand(1, max(1, ($whole[$high] - $whole[$low]) / 50 - 1));
                if ($cut >= $whole[$high]) {
                    continue;
                }
                $parts = [array_replace($whole, [$high => $cut]), array_replace($whole, [$low => $cut])];
                mt_rand(0, 1) === 0 ?: ($parts = array_reverse($parts));
                $split = piece(
                    ['a', 'b'][$which],
                    'sheet',
                    $which + 1,
                    array_map(fn (array $r) => ['face', $r, ['joined' => ['j']]], $parts),
                );
                $other = one(['b', 'a'][$which], 'sheet', 2 - $which, [$outer, $inner][$which]);
                expect($told($which === 0 ? [$split, $other] : [$other, $split]))->toBe(
                    $lap === null ? [] : [$lap],
                    "cut at $cut: ".json_encode([$inner, $outer]),
                );
            }
        }
    }
})->with(range(1, intdiv($seeds, 2)));
