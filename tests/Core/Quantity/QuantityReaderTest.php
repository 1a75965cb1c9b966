<?php

declare(strict_types=1);

use Apron\Quantity\Dimension;
use Apron\Quantity\Display;
use Apron\Quantity\QuantityReader;
use Apron\Quantity\UnitSystem;
use Apron\Quantity\Unreadable;

// The same table holds resources/js/quantity/read.ts.
foreach (
    json_decode(file_get_contents(__DIR__.'/../../shared/quantities.json'), true)['cases'] as $row => [
        $typed,
        $dimension,
        $units,
        $conductivity,
        $value,
    ]
) {
    it("row $row: reads “{$typed}” as $dimension in $units", function () use (
        $typed,
        $dimension,
        $units,
        $conductivity,
        $value,
    ) {
        $read = fn () => (new QuantityReader(UnitSystem::from($units)))->read(
            $typed,
            Dimension::from($dimension),
            $conductivity,
        );
        if ($value === null) {
            expect($read)->toThrow(Unreadable::class);
        } else {
            expect($read()->value)->toEqualWithDelta($value, 1e-9)->and($read()->text)->toBe($typed);
        }
    });
}

it('says what was typed and what would be right', function () {
    expect(fn () => (new QuantityReader(UnitSystem::SI))->read('two inches', Dimension::Length))->toThrow(
        Unreadable::class,
        '“two inches” is not understood; write 50 mm, 2 in',
    );
});

it('shows inches as they are read off a tape', function (float|int $mm, string $inches) {
    expect((new Display(UnitSystem::US))->figure('size_mm', $mm))->toBe($inches);
})->with(json_decode(file_get_contents(__DIR__.'/../../shared/quantities.json'), true)['inches']);

it('shows a figure by the unit in its key, in either system', function (
    string $key,
    float $value,
    string $si,
    string $us,
) {
    expect((new Display(UnitSystem::SI))->figure($key, $value))
        ->toBe($si)
        ->and((new Display(UnitSystem::US))->figure($key, $value))
        ->toBe($us);
})->with([
    ['least_mm', 50.8, '51 mm', '2 in'],
    ['surface_c', -40.0, '−40.0 °C', '−40 °F'],
    ['permeance_ng_pa_s_m2', 57.2135, '57 ng/Pa·s·m²', '1.00 perm'],
    ['resistance_m2k_w', 1.7611, '1.76 m²K/W', '10.0 R'],
    ['u_w_m2k', 0.25, '0.250 W/m²K', '0.044 Btu/h·ft²·°F'],
]);
