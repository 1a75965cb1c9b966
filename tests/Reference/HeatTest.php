<?php

declare(strict_types=1);

use Apron\Assembly\HeatFlow;
use Apron\Assembly\ThermalResistance;
use Apron\Quantity\Conversion;

it('has the surface resistances and air layers of ISO 6946:2017, tables 7 and 8 (from memory)', function (
    HeatFlow $flow,
    float $surface,
    array $air,
) {
    expect(Apron\Assembly\SurfaceFilms::Iso->inside($flow))->toBe($surface);
    foreach ($air as $mm => $resistance) {
        expect($flow->airLayer($mm))->toEqualWithDelta($resistance, 1e-9);
    }
})->with([
    [HeatFlow::Horizontal, 0.13, [5 => 0.11, 10 => 0.15, 25 => 0.18, 300 => 0.18, 20 => 0.175]],
    [HeatFlow::Up, 0.1, [5 => 0.11, 15 => 0.16, 100 => 0.16]],
    [HeatFlow::Down, 0.17, [15 => 0.17, 25 => 0.19, 50 => 0.21, 100 => 0.22, 300 => 0.23]],
]);

it(
    'works a timber-framed wall by the combined method (the shape of BR 443’s example, from memory; arithmetic worked by hand)',
    function () {
        // Outside in: brick 102 mm λ 0.77, cavity R 0.18, plywood 9 mm λ 0.13, wool 140 mm λ 0.038 with 15 % timber λ
        // 0.13, plasterboard 12.5 mm λ 0.25.
        $file = wallFile([
            [0.25, 10, 12.5],
            [0.038, 1, 140, ['framing' => ['material' => 'm9', 'fraction' => 0.15]]],
            [0.13, 50, 9],
            [1, 1, 50],
            [0.77, 10, 102],
        ]);
        $file['materials'][] = [
            'id' => 'm9',
            'name' => 'timber',
            'conductivity_w_mk' => 0.13,
            'vapour_resistance_factor' => 50,
        ];
        $file['materials'][3] = ['id' => 'm3', 'name' => 'cavity', 'resistance_m2k_w' => 0.18, 'sd_m' => 0.01];
        $heat = new ThermalResistance(readProject($file)->assemblies[0]);
        // Without the framed layer: 0.13 + 0.05 + 0.069231 + 0.18 + 0.132468 + 0.04 = 0.601698; wool 3.684211, timber
        // 1.076923. Upper: 1 / (0.85 / 4.285909 + 0.15 / 1.678622) = 3.476044; lower: 0.601698 + 1 / (0.85 / 3.684211 +
        // 0.15 / 1.076923) = 3.304401; U 2 / (3.476044 + 3.304401).
        expect($heat->upperLimit)
            ->toEqualWithDelta(3.476044, 1e-6)
            ->and($heat->lowerLimit)
            ->toEqualWithDelta(3.304401, 1e-6)
            ->and($heat->u())
            ->toEqualWithDelta(0.294966, 1e-6);
    },
);

it('adds fasteners by ISO 6946:2017, annex F (arithmetic worked by hand)', function () {
    // 100 mm of λ 0.04 is 2.5; R 2.67 with surfaces. 5 steel fasteners of 6 mm: 0.8 · 50 · 28.2743e-6 · 5 / 0.1 · (2.5
    // / 2.67)² = 0.0495770.
    $heat = new ThermalResistance(
        wall([[0.04, 1, 100, ['fasteners' => ['per_m2' => 5, 'diameter_mm' => 6, 'conductivity_w_mk' => 50]]]]),
    );
    expect($heat->fastenersAddU)
        ->toEqualWithDelta(0.049577, 1e-6)
        ->and($heat->u())
        ->toEqualWithDelta(1 / 2.67 + 0.049577, 1e-6)
        ->and($heat->total())
        ->toEqualWithDelta(2.67, 1e-12);
});

it('converts as NIST SP 811 (2008), appendix B, does', function () {
    expect(Conversion::MM_PER_INCH)
        ->toBe(25.4)
        ->and(Conversion::RSI_PER_R)
        ->toEqualWithDelta(0.1761102, 1e-7)
        ->and(Conversion::NG_PER_PERM)
        ->toEqualWithDelta(57.2135, 1e-4)
        ->and(Conversion::PA_PER_PSF)
        ->toEqualWithDelta(47.88026, 1e-5)
        ->and(Conversion::celsius(-40))
        ->toBe(-40.0)
        ->and(Conversion::fahrenheit(100))
        ->toBe(212.0)
        ->and(1 / Conversion::FT2_PER_M2)
        ->toEqualWithDelta(0.09290304, 1e-12);
});
