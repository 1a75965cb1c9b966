<?php

declare(strict_types=1);

use Apron\Conduction\ConjugateGradients;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneField;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlaneSection;

require_once __DIR__.'/Support.php';

it('has of layers alone what they have one after the other, whatever the width', function (float $wide) {
    $heat = new PlaneHeat(wallOf($wide, [[12.5, 0.25], [140, 0.035], [0.2, 0.17], [100, 0.9]]));
    $r = 0.13 + 0.0125 / 0.25 + 0.14 / 0.035 + 0.0002 / 0.17 + 0.1 / 0.9 + 0.04;
    expect($heat->coupling())->toEqualWithDelta($wide / 1000 / $r, 1e-9)
        ->and($heat->factor())->toEqualWithDelta(1 - 0.13 / $r, 1e-9)
        ->and($heat->changed)->toBeLessThan(1e-9);
})->with([50.0, 1000.0, 12000.0]);

it('adds nothing at a joint of two parts that is none, and what metal carries where there is some', function () {
    $layers = [[12.5, 0.25], [140, 0.035]];
    $u = 1 / (0.17 + 0.0125 / 0.25 + 0.14 / 0.035);
    $psi = function (array $more) use ($layers, $u): ?float {
        $wall = wallOf(1200, $layers, $more);
        $beside = [new Flanking($u, 500), new Flanking($u, 700)];

        return (new PlaneHeat(new PlaneSection('s', 's', $wall->blocks, $wall->airs, [], $beside)))->psi();
    };
    expect($psi([]))->toEqualWithDelta(0, 1e-9)
        ->and($psi([block([598, 12.5, 600, 152.5], 50)]))->toBeGreaterThan(0.05)
        // Less insulation, more loss: never the other way.
        ->and($psi([block([590, 12.5, 610, 152.5], 0.13)]))->toBeGreaterThan(0.001)->toBeLessThan(0.02);
});

it('keeps what flows when a section is mirrored, turned, moved or seen from the other side', function () {
    $wall = wallOf(600, [[12, 0.25], [90, 0.035], [12, 0.16]], [block([100, 12, 101.2, 102], 50)]);
    $flow = fn (Closure $moved): float => (new PlaneHeat(new PlaneSection(
        's',
        's',
        array_map(fn ($b) => block($moved($b->rect->toArray()), $b->conductivity), $wall->blocks),
        array_map(fn ($a) => air(
            $moved($a->rect->toArray()),
            $a->temperature,
            $a->resistance,
            $a->isInside,
        ), $wall->airs),
    )))->flow;
    $as = $flow(fn (array $r): array => $r);
    expect($flow(fn (array $r): array => [600 - $r[2], $r[1], 600 - $r[0], $r[3]]))->toEqualWithDelta($as, 1e-3 * $as)
        ->and($flow(fn (array $r): array => [$r[1], $r[0], $r[3], $r[2]]))->toEqualWithDelta($as, 1e-6 * $as)
        ->and($flow(fn (array $r): array => [$r[0] - 9e3, $r[1] + 40, $r[2] - 9e3, $r[3] + 40]))
        ->toEqualWithDelta($as, 1e-6 * $as);
});

it('gives one room as much of another’s warmth as it gives back: reciprocity', function () {
    // Two rooms and outdoors round a floor that goes through the wall; each in turn is one degree warmer than the rest.
    $blocks = [block([0, 0, 200, 2000], 0.5), block([200, 0, 260, 2000], 0.035), block([-900, 950, 200, 1150], 2.0)];
    $given = function (int $warm) use ($blocks): array {
        $t = fn (int $n): float => $n === $warm ? 1.0 : 0.0;
        $section = new PlaneSection('s', 's', $blocks, [
            air([-900, 0, 0, 950], $t(0), 0.13, true),
            air([-900, 1150, 0, 2000], $t(1), 0.1, true),
            air([260, 0, 400, 2000], $t(2), 0.04),
        ]);

        return (new PlaneHeat($section))->field->flows;
    };
    [$a, $b, $c] = [$given(0), $given(1), $given(2)];
    expect($a[1])->toEqualWithDelta($b[0], 1e-9)->toBeLessThan(-0.01)
        ->and($a[2])->toEqualWithDelta($c[0], 1e-9)
        ->and($b[2])->toEqualWithDelta($c[1], 1e-9)
        ->and(array_sum($a))->toEqualWithDelta(0, 1e-9);
});

it('is the mean of what goes with the heat and across it, between the two limits of ISO 6946', function () {
    // Studs of wood in wool: no computation in two dimensions lies outside of both limits.
    [$of, $stud] = [406.0, 38.0];
    $section = wallOf($of, [[12.5, 0.25], [140, 0.035], [12, 0.13]], [block([0, 12.5, $stud, 152.5], 0.13)]);
    $u = (new PlaneHeat($section))->coupling() / ($of / 1000);
    $share = $stud / $of;
    $board = 0.0125 / 0.25 + 0.012 / 0.13 + 0.17;
    $upper = 1 / ($share / ($board + 0.14 / 0.13) + (1 - $share) / ($board + 0.14 / 0.035));
    $lower = $board + 0.14 / ($share * 0.13 + (1 - $share) * 0.035);
    expect(1 / $u)->toBeGreaterThan($lower)->toBeLessThan($upper);
});

it('has of a steel stud and of girts what an independent computation had', function () {
    // 92 mm studs of 1.2 mm steel every 406 mm, wool of R-13 between, 12.7 mm gypsum on both faces; Rsi 0.25, Rse 0.04.
    // fRsi at the stud 0.62 to 0.66 with it, by a two-dimensional computation of our own reviewer.
    $stud = [
        block([183, 12.7, 224, 13.9], 50),
        block([183, 12.7, 184.2, 104.7], 50),
        block([183, 103.5, 224, 104.7], 50),
    ];
    $section = wallOf(406, [[12.7, 0.16], [92, 0.04], [12.7, 0.16]], $stud, 0.25);
    expect((new PlaneHeat($section))->factor())->toBeGreaterThan(0.60)->toBeLessThan(0.66);
});

it('has of a girt before an empty stud cavity what an independent computation had', function () {
    // ψ 0.106 W/(m·K): steel through 100 mm of wool, gypsum on an air space of 0.18 m²K/W behind; gauge and flanges
    // were not said, 1.5 and 40 mm are taken, and air as a solid spreads more heat than air does.
    $layers = [[12.7, 0.16], [92, 0.092 / 0.18], [12.7, 0.16], [100, 0.035]];
    $section = wallOf(1600, $layers, [
        block([800, 117.4, 801.5, 217.4], 50),
        block([760, 117.4, 801.5, 118.9], 50),
        block([800, 215.9, 840, 217.4], 50),
    ]);
    $u = 1 / (0.17 + 2 * 0.0127 / 0.16 + 0.18 + 0.1 / 0.035);
    expect((new PlaneHeat($section))->coupling() - 1.6 * $u)->toBeGreaterThan(0.09)->toBeLessThan(0.15);
});

it('solves as a dense elimination does, whatever the conductances', function () {
    mt_srand(18);
    foreach ([[5, 7], [9, 4], [12, 12]] as [$wide, $high]) {
        $n = $wide * $high;
        $any = fn (): float => 10 ** (mt_rand(-300, 300) / 100);
        [$east, $north, $sum, $right] = [[], [], [], []];
        for ($i = 0; $i < $n; $i++) {
            $east[] = $i % $wide === $wide - 1 ? 0.0 : $any();
            $north[] = $i >= $n - $wide ? 0.0 : $any();
            $right[] = mt_rand(-100, 100) / 10;
        }
        for ($i = 0; $i < $n; $i++) {
            $air = $i % 5 === 0 ? 1.0 : 0.0;
            $sum[] = $east[$i] + $north[$i] + ($east[$i - 1] ?? 0) + ($north[$i - $wide] ?? 0) + $air;
        }
        $solved = (new ConjugateGradients($sum, $east, $north, $wide))->solve($right, array_fill(0, $n, 3.0), 1e-12);
        // What is left over of each row, against the largest that stands in it.
        for ($i = 0; $i < $n; $i++) {
            $terms = [
                $sum[$i] * $solved[$i],
                -$east[$i] * ($solved[$i + 1] ?? 0),
                -($east[$i - 1] ?? 0) * ($solved[$i - 1] ?? 0),
                -$north[$i] * ($solved[$i + $wide] ?? 0),
                -($north[$i - $wide] ?? 0) * ($solved[$i - $wide] ?? 0),
                -$right[$i],
            ];
            expect(abs(array_sum($terms)))->toBeLessThan(1e-7 * max(array_map(abs(...), $terms)));
        }
    }
});

it('gives out at its places the temperatures between its nodes, and holds faces without resistance', function () {
    $wall = wallOf(300, [[100, 1.0]], [], 0.0, 0.0);
    $field = new PlaneField($wall, Apron\Conduction\PlaneGrid::of($wall));
    expect($field->at(150, 0))->toEqualWithDelta(20, 1e-6)->and($field->at(150, 100))->toEqualWithDelta(0, 1e-6)
        ->and($field->at(77, 25))->toEqualWithDelta(15, 1e-9)
        ->and($field->flows[0])->toEqualWithDelta(20 * 0.3 / 0.1, 1e-6)
        ->and($field->flows[1])->toEqualWithDelta(-60, 1e-6);
});
