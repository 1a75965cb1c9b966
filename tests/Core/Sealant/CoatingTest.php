<?php

declare(strict_types=1);

use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\MaterialFormat;
use Apron\Sealant\Coating;
use Apron\Sealant\CoatOn;

it('works out a coat from what stays of it, what it is laid on, its joints and its packs', function () {
    $coat = fn (array $product) => MaterialFormat::read(
        Node::of([
            'id' => 'c',
            'name' => 'C',
            'family' => 'fluid-acrylic',
            'conductivity_w_mk' => 0.2,
            'vapour_resistance_factor' => 500,
            'product' => (object) $product,
        ]),
    );
    // 0.5 mm dry at half solids is 1 mm wet: a litre a square metre, a tenth of it lost.
    $plain = new Coating($coat([]), 0.5, 90.0);
    expect($plain->film->wetMm())
        ->toBe(1.0)
        ->and($plain->litres())
        ->toEqualWithDelta(100.0, 1e-9)
        ->and($plain->coats())
        ->toBe(1)
        // The usual pail holds 18.9 L.
        ->and($plain->packs())
        ->toBe(6)
        ->and($plain->readings())
        ->toBe(90)
        ->and($plain->leastReadingMm())
        ->toEqualWithDelta(0.8, 1e-9);
    // Masonry takes half as much again; 100 m of joints, 150 mm wide, are 15 m² more.
    $rough = new Coating($coat(['pack_l' => 19]), 0.6, 90.0, CoatOn::Masonry, 100.0);
    expect($rough->litres())
        ->toEqualWithDelta((1.2 * 105 * 1.5) / 0.9, 1e-9)
        ->and($rough->packs())
        ->toBe(12)
        ->and($rough->coats())
        ->toBe(2);
    $said = new Coating($coat(['solids_pct' => 95, 'coverage_m2_l' => 2]), 0.5, 90.0);
    expect($said->film->wetMm())
        ->toEqualWithDelta(0.5 / 0.95, 1e-9)
        ->and($said->litres())
        ->toEqualWithDelta(50.0, 1e-9);
});

it('lets vapour through by the film that is there', function () {
    $of = fn (float $dry): float => (new Coating((new Catalogue)->find('fluid-permeable'), $dry, 1.0))->permeance();
    expect($of(0.3) / $of(0.6))->toEqualWithDelta(2.0, 1e-9);
    $usual = (new Catalogue)->find('fluid-permeable');
    expect($of($usual->usualThicknessMm))->toEqualWithDelta($usual->permeance ?? $of($usual->usualThicknessMm), 1e-6);
});

it('refuses a film or an area that is none', function (float $dry, float $area) {
    expect(fn () => new Coating((new Catalogue)->find('fluid-permeable'), $dry, $area))->toThrow(
        InvalidArgumentException::class,
    );
})->with([[0.0, 10.0], [0.5, 0.0]]);
