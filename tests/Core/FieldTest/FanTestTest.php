<?php

declare(strict_types=1);

use Apron\FieldTest\CannotTest;
use Apron\FieldTest\FanConvention;
use Apron\FieldTest\FanTest;
use Apron\FieldTest\Limits;

/** Readings of Q = C·Δp^n at the fan, without scatter, with an offset on the gauge. */
function readings(
    float $c,
    float $n,
    int $sign,
    float $offset = 0.0,
    array $pressures = [10, 20, 30, 40, 50, 60],
): array {
    return array_map(fn (float $p) => ['pressure' => $sign * $p + $offset, 'flow' => $c * $p ** $n], $pressures);
}

it('finds C and n again from readings without scatter, whatever the offset and its sign', function (
    float $n,
    int $sign,
    float $offset,
) {
    $test = new FanTest(readings(0.05, $n, $sign, $offset), [$offset - 0.3, $offset + 0.3], 20, 20);
    // Same air on both sides: only the density of 20 °C air against the reference remains, nearly one.
    expect($test->exponent)
        ->toEqualWithDelta($n, 1e-9)
        ->and($test->coefficient)
        ->toEqualWithDelta(0.05 * (FanTest::density(20) / 1.204) ** (1 - $n), 1e-9)
        ->and($test->exponentInterval)
        ->toBeLessThan(1e-6)
        ->and($test->interval(50)[1] - $test->interval(50)[0])
        ->toBeLessThan(1e-6);
})->with([[0.5, 1, 0], [0.65, -1, -2.5], [0.65, -1, 2.5], [0.8, 1, -1.5], [1.0, -1, 0.0]]);

it(
    'corrects density the other way round when the fan blows the other way (ISO 9972:2015, from memory; arithmetic worked by hand)',
    function () {
        // Indoors 293.15 K, outdoors 263.15 K: densities 1.20402 and 1.34128 from 101325/(287.055 T).
        [$in, $out] = [FanTest::density(20), FanTest::density(-10)];
        expect($out / $in)->toEqualWithDelta(293.15 / 263.15, 1e-12);
        $sucked = new FanTest(readings(0.05, 0.65, -1), [0], 20, -10);
        $blown = new FanTest(readings(0.05, 0.65, 1), [0], 20, -10);
        expect($sucked->coefficient)
            ->toEqualWithDelta(((0.05 * $in) / $out) * ($out / 1.204) ** 0.35, 1e-9)
            ->and($blown->coefficient)
            ->toEqualWithDelta(((0.05 * $out) / $in) * ($in / 1.204) ** 0.35, 1e-9);
    },
);

it('weights, and gives the interval of the textbook for five readings (arithmetic worked by hand)', function () {
    // ln Q scatters by ±0.02 in turn about a line of slope 0.6: residual and slope error by hand.
    $pressures = [10.0, 20.0, 30.0, 40.0, 50.0];
    $scatter = [0.02, -0.02, 0.02, -0.02, 0.0];
    $points = array_map(
        fn (float $p, float $s) => ['pressure' => $p, 'flow' => 0.05 * $p ** 0.6 * exp($s)],
        $pressures,
        $scatter,
    );
    $x = array_map(log(...), $pressures);
    $y = array_map(fn (array $p) => log($p['flow']), $points);
    $mx = array_sum($x) / 5;
    $my = array_sum($y) / 5;
    $xx = array_sum(array_map(fn ($v) => ($v - $mx) ** 2, $x));
    $slope = array_sum(array_map(fn ($v, $u) => ($v - $mx) * ($u - $my), $x, $y)) / $xx;
    $rest = array_sum(array_map(fn ($v, $u) => ($u - $my - $slope * ($v - $mx)) ** 2, $x, $y)) / 3;
    $test = new FanTest($points, [], 20, 20);
    expect($test->exponent)
        ->toEqualWithDelta($slope, 1e-12)
        ->and($test->exponentInterval)
        ->toEqualWithDelta(3.182 * sqrt($rest / $xx), 1e-9);
    [$low, $high] = $test->interval(50);
    expect(log($high / $low) / 2)->toEqualWithDelta(3.182 * sqrt($rest * (1 / 5 + (log(50) - $mx) ** 2 / $xx)), 1e-9);
    // A reading that weighs almost nothing changes almost nothing.
    $light = array_map(fn (array $p) => $p + ['weight' => 1.0], $points);
    $light[0] = ['flow' => $light[0]['flow'] * 3, 'weight' => 1e-9] + $light[0];
    expect((new FanTest($light, [], 20, 20))->exponent)->toEqualWithDelta(
        (new FanTest([['weight' => 1e-9] + $points[0], ...array_slice($points, 1)], [], 20, 20))->exponent,
        1e-6,
    );
});

it('gives air changes, leakage and leakage areas (arithmetic worked by hand)', function () {
    $test = new FanTest(readings(0.05, 0.65, 1), [], 20, 20);
    expect($test->airChanges(50, 300))
        ->toEqualWithDelta($test->flow(50) * 12, 1e-12)
        ->and($test->leakage(75, 400))
        ->toEqualWithDelta($test->flow(75) * 2.5, 1e-12)
        // The area is that of a sharp hole with the same flow at that pressure: Q = A √(2Δp/ρ).
        ->and($test->leakageArea(4) * sqrt((2 * 4) / 1.204))
        ->toEqualWithDelta($test->flow(4), 1e-12)
        ->and($test->leakageArea(10, 0.611))
        ->toEqualWithDelta($test->leakageArea(10) / 0.611, 1e-12);
});

it('corrects viscosity too by ASTM E779, and not at n = 0.5', function () {
    $c = fn (FanConvention $by, float $n) => (new FanTest(readings(0.05, $n, -1), [], 20, -15, $by))->coefficient;
    // Sutherland: μ(−15 °C)/μ(20 °C) = (258.15/293.15)^1.5 · (293.15 + 110.4)/(258.15 + 110.4) = 0.90487.
    expect($c(FanConvention::AstmE779, 0.7) / $c(FanConvention::Iso9972, 0.7))
        ->toEqualWithDelta(0.90487 ** 0.4, 1e-4)
        ->and($c(FanConvention::AstmE779, 0.5))
        ->toEqualWithDelta($c(FanConvention::Iso9972, 0.5), 1e-12);
});

it('rejects what is no test, with the reason', function (array $points, array $zero, string $why) {
    expect(fn () => new FanTest($points, $zero, 20, 5))->toThrow(CannotTest::class, $why);
})->with([
    'too few' => [readings(0.05, 0.65, 1, 0, [10, 20, 30, 40]), [0], 'five'],
    'offset larger than a reading' => [readings(0.05, 0.65, 1, 0, [2, 20, 30, 40, 50]), [3], 'Reading 1'],
    'no flow' => [[['pressure' => 10, 'flow' => 0.0], ...readings(0.05, 0.65, 1)], [0], 'Reading 1'],
    'one pressure' => [readings(0.05, 0.65, 1, 0, [50, 50, 50, 50, 50]), [0], 'one pressure'],
]);

it('keeps material, assembly and building apart, ten times each (IECC 2021, from memory)', function () {
    expect(array_map(fn (Limits $l) => $l->most(), Limits::cases()))->toBe([0.02, 0.2, 2.0]);
});
