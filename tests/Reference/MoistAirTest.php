<?php

declare(strict_types=1);

use Apron\Climate\Air;
use Apron\Climate\HumidityClass;
use Apron\Climate\Month;

/** @return list<array{float, float, float, float}> °C, relative humidity, Pa, dew point by psychrolib */
function psychrolib(): array
{
    $points = [];
    for ($i = 0; $i < 200; $i++) {
        $points[] = [-20 + (60 * $i) / 199, 0.25 + (0.7 * (($i * 37) % 200)) / 199];
    }
    exec(
        'node '.escapeshellarg(__DIR__.'/psychrolib.mjs').' '.escapeshellarg(json_encode($points)),
        $out,
        $code,
    );
    if ($code !== 0) {
        throw new RuntimeException('psychrolib did not run');
    }

    return array_map(fn (array $point, array $answer) => [...$point, ...$answer], $points, json_decode($out[0], true));
}

it('agrees with psychrolib on 200 points: 0.2 % of pressure from 0 to 40 °C, 0.6 % down to −20 °C', function () {
    foreach (psychrolib() as [$celsius, $humidity, $pressure, $dewPoint]) {
        expect(abs(Air::saturation($celsius) / $pressure - 1))->toBeLessThan(
            $celsius >= 0 ? 0.002 : 0.006,
            "at $celsius °C",
        );
        // A dew point is compared by the pressure that belongs to it, so one tolerance serves; below 0 °C both are
        // frost points.
        $own = Air::dewPoint($humidity * Air::saturation($celsius));
        if ($dewPoint > -20) {
            expect(abs($own - $dewPoint))->toBeLessThan(
                $dewPoint >= 0 ? 0.1 : 0.15,
                "dew point at $celsius °C, $humidity",
            );
        }
    }
});

it('has the saturation pressures of ISO 13788:2012, table E.1 (from memory)', function (float $celsius, float $pascal) {
    expect(Air::saturation($celsius))->toEqualWithDelta($pascal, 1.0);
})->with([[-10, 260], [0, 611], [10, 1228], [15, 1705], [20, 2337], [25, 3166], [30, 4241]]);

it('takes the frost point below 610.5 Pa: 20 °C and 20 % give −3.2 °C (ISO 13788, both branches)', function () {
    expect(Air::dewPoint(0.2 * Air::saturation(20)))
        ->toEqualWithDelta(-3.2, 0.05)
        ->and(Air::dewPoint(Air::saturation(13.7)))
        ->toEqualWithDelta(13.7, 1e-9)
        ->and(Air::dewPoint(Air::saturation(-13.7)))
        ->toEqualWithDelta(-13.7, 1e-9);
});

it('has the humidity classes of ISO 13788:2012, figure A.1 (class 5 from memory)', function (
    int $class,
    float $outdoors,
    float $excess,
) {
    $month = new Month($outdoors, 80);
    expect(
        (new HumidityClass($class, 30, 1.0))->during(0, $month)['pressure'] - $month->vapourPressure(),
    )->toEqualWithDelta($excess, 1e-9);
})->with([
    [1, -10, 270],
    [2, 0, 540],
    [3, 0, 810],
    [4, -5, 1080],
    [5, 0, 1360],
    [3, 10, 405],
    [4, 15, 270],
    [3, 20, 0],
    [3, 25, 0],
]);
