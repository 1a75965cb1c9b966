<?php

declare(strict_types=1);

use Apron\Rules\Severity;
use Apron\Sealant\Bearing;
use Apron\Sealant\PrecompressedTape;
use Apron\Sealant\SealantJoint;
use Apron\Sealant\WetFilm;

it(
    'lays wet what must be there dry, and covers 1604 ft² a US gallon at a mil (common practice; arithmetic worked by hand)',
    function () {
        $film = new WetFilm(0.5, 0.5);
        expect($film->wetMm())
            ->toBe(1.0)
            ->and($film->coverage())
            ->toBe(1.0)
            ->and($film->litres(100, 0.2))
            ->toEqualWithDelta(125.0, 1e-9);
        // A gallon is 3.785412 L, a square foot 0.09290304 m², a mil 0.0254 mm.
        expect(((new WetFilm(0.0254, 1.0))->coverage() * 3.785412) / 0.09290304)
            ->toEqualWithDelta(1604.2, 0.1)
            ->and(fn () => new WetFilm(0.5, 1.2))
            ->toThrow(InvalidArgumentException::class);
    },
);

it('judges readings of a film by least, mean and the share that falls short', function (
    array $readings,
    Severity $severity,
) {
    expect((new WetFilm(0.5, 0.5))->judge($readings)['severity'])->toBe($severity);
})->with([
    [[1.0, 1.1, 1.2], Severity::Pass],
    [[0.79, 1.3, 1.3], Severity::Fail],
    [[0.9, 0.95, 1.0], Severity::Fail],
    [[0.9, 0.95, 1.3, 1.2], Severity::Caution],
    [[0.95, 1.1, 1.1, 1.1, 1.1], Severity::Pass],
]);

it('sizes a joint by its movement (ASTM C1472, from memory; arithmetic worked by hand)', function () {
    // Aluminium 23.6e-6 over 3 m and 60 K: 4.248 mm; class 25: 16.992; with 3 mm of tolerance 19.992 wide, 9.996 deep.
    $joint = new SealantJoint(23.6e-6, 3000, 60, 0.25, 3);
    expect($joint->movementMm())
        ->toEqualWithDelta(4.248, 1e-9)
        ->and($joint->widthMm())
        ->toEqualWithDelta(19.992, 1e-9)
        ->and($joint->depthMm())
        ->toEqualWithDelta(9.996, 1e-9)
        ->and(SealantJoint::depthOf(8))
        ->toBe(6.0)
        ->and(SealantJoint::depthOf(40))
        ->toBe(13.0)
        ->and(SealantJoint::backerRod(20.0))
        ->toEqualWithDelta([25.0, 26.6], 1e-9)
        ->and(fn () => new SealantJoint(1e-5, 3000, 60, 0, 0))
        ->toThrow(InvalidArgumentException::class);
});

it('chooses a tape whose range holds the joint’s whole swing, near its middle', function () {
    expect(PrecompressedTape::choose(12, 1))
        ->toBe([8.0, 18.0])
        ->and(PrecompressedTape::choose(5, 0.5))
        ->toBe([2.0, 6.0])
        ->and(PrecompressedTape::choose(39, 3))
        ->toBeNull()
        ->and(PrecompressedTape::cutMm(900))
        ->toEqualWithDelta(912.7, 1e-9)
        ->and(PrecompressedTape::cutMm(1000))
        ->toEqualWithDelta(1050.0, 1e-9);
});

it('carries a unit on an inch of shim for every forty pounds, in the middle of its gap', function () {
    // 400 lb is 181.437 kg: ten square inches, 6451.6 mm².
    expect(Bearing::shims(181.43695))
        ->toEqualWithDelta(6451.6, 0.1)
        ->and(Bearing::settingBlock(1019, 1000))
        ->toBe(9.5)
        ->and(Bearing::settingBlock(990, 1000))
        ->toBe(0.0);
});

it(
    'looks up how thick insulation may be under cladding, and sends the rest to an engineer (IRC 2021, R703.15.1, from memory)',
    function (float $shank, float $spacing, float $psf, ?float $inches) {
        $mm = Bearing::thickestInsulation($shank * 25.4, $spacing * 25.4, $psf / 0.204816);
        $inches === null ? expect($mm)->toBeNull() : expect($mm)->toEqualWithDelta($inches * 25.4, 1e-9);
    },
)->with([
    [0.113, 6, 3, 2.0],
    [0.12, 8, 11, 1.2],
    [0.131, 12, 11, 0.9],
    [0.162, 6, 25, 1.4],
    [0.15, 7, 10, 1.55],
    [0.113, 12, 18, null],
    [0.113, 16, 3, null],
    [0.1, 6, 3, null],
    [0.162, 6, 30, null],
]);
