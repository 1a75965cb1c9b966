<?php

declare(strict_types=1);

use Apron\Assembly\ThermalResistance;

// λ 0.04 over 140 mm is 3.5 m²K/W, λ 0.13 over 140 mm is 1.0769; 12.5 mm of λ 0.25 is 0.05; surfaces 0.13 and 0.04.
const BOARD = [0.25, 10, 12.5];
const WOOL = [0.04, 1, 140];

function framed(float $fraction, array $more = []): array
{
    return ['framing' => ['material' => 'lumber', 'fraction' => $fraction] + $more];
}

it('adds layers and surfaces', function () {
    $heat = new ThermalResistance(wall([BOARD, WOOL]));
    expect($heat->total())
        ->toEqualWithDelta(0.13 + 0.05 + 3.5 + 0.04, 1e-12)
        ->and($heat->u())
        ->toEqualWithDelta(1 / 3.72, 1e-12);
});

it('takes framed layers that cross as four paths, and members that go on as two', function () {
    // lumber: λ 0.12 of the catalogue over 140 mm is 1.16667, over 50 mm 0.416667; wool over 50 mm 1.25.
    $crossing = new ThermalResistance(wall([[...WOOL, framed(0.15)], [0.04, 1, 50, framed(0.1)]]));
    $upper =
        1 /
        ((0.85 * 0.9) / 4.92 + (0.85 * 0.1) / 4.0866666667 + (0.15 * 0.9) / 2.5866666667 + (0.15 * 0.1) / 1.7533333333);
    expect($crossing->upperLimit)->toEqualWithDelta($upper, 1e-9);

    $spaced = framed(0.15, ['spacing_mm' => 400]);
    $going = new ThermalResistance(wall([[...WOOL, $spaced], [0.04, 1, 50, $spaced]]));
    expect($going->upperLimit)->toEqualWithDelta(1 / (0.85 / 4.92 + 0.15 / 1.7533333333), 1e-9);
});

it('leaves out what lies outside a ventilated layer and takes the outer surface as an inner one', function () {
    $air = [0.025, 1, 25, ['air' => 'ventilated']];
    $heat = new ThermalResistance(wall([WOOL, $air, [0.1, 50, 20]]));
    expect($heat->total())->toEqualWithDelta(3.5 + 0.13 + 0.13, 1e-12);
});

it('halves a slightly ventilated layer and counts no more than 0.15 outside it', function () {
    $heat = new ThermalResistance(
        wall([WOOL, [0.025, 1, 25, ['air' => 'slightly-ventilated']], [0.1, 50, 20], [0.1, 50, 20]]),
    );
    expect($heat->total())->toEqualWithDelta(0.13 + 3.5 + 0.09 + 0.15 + 0.04, 1e-12);
});

it('refuses the combined method where the limits are too far apart', function () {
    $steel = ['framing' => ['material' => 'steel-galvanised', 'fraction' => 0.003]];
    $heat = new ThermalResistance(wall([BOARD, [...WOOL, $steel]]));
    expect($heat->upperLimit / $heat->lowerLimit)
        ->toBeGreaterThan(1.5)
        ->and($heat->total())
        ->toBeNull()
        ->and($heat->u())
        ->toBeNull();
});

it('never loses R when insulation is added', function (int $seed) {
    mt_srand($seed);
    $thin = mt_rand(10, 200);
    $r = fn (float $mm) => (new ThermalResistance(
        wall([BOARD, [...WOOL, framed(mt_rand(1, 3) / 10)], [0.035, 1, $mm]]),
    ))->total();
    mt_srand($seed + 1000);
    $before = $r($thin);
    mt_srand($seed + 1000);
    expect($r($thin + 25))->toBeGreaterThan($before);
})->with(range(1, 20));
