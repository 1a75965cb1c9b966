<?php

declare(strict_types=1);

use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Material\VapourClass;
use Apron\Rules\SourceKind;

it(
    'has at least a hundred and fifty generic materials, each with a source, a family and a thickness to start from',
    function () {
        $all = (new Catalogue)->all();
        expect(count($all))
            ->toBeGreaterThanOrEqual(150)
            ->and(count(array_unique(array_map(fn (Material $m) => $m->id, $all))))
            ->toBe(count($all));
        foreach ($all as $material) {
            expect($material->source->kind)
                ->not->toBe(SourceKind::Unstated)
                ->and($material->source->name)
                ->not->toBe('')
                ->and($material->family)
                ->not->toBeNull()
                ->and($material->usualThicknessMm)
                ->toBeGreaterThan(0.0);
            expect(MaterialFormat::write(MaterialFormat::read(Node::of(MaterialFormat::write($material)))))->toEqual(
                MaterialFormat::write($material),
            );
        }
    },
);

it('gives the resistance and the sd-value of a thickness', function () {
    $catalogue = new Catalogue;
    // 100 mm of λ 0.035: 2.857 m²K/W; of μ 1: 0.1 m. 0.15 mm of polyethylene is sd 50 m however thick it is said to be.
    expect($catalogue->find('mineral-wool-board')->resistanceOf(100))
        ->toEqualWithDelta(2.857143, 1e-6)
        ->and($catalogue->find('mineral-wool-board')->sdOf(100))
        ->toEqualWithDelta(0.1, 1e-12)
        ->and($catalogue->find('pe-film')->sdOf(0.3))
        ->toBe(50.0)
        // 50 perm is 2860 ng/(Pa·s·m²); δ₀ over that is 0.06993 m.
        ->and($catalogue->find('polyolefin-wrap')->sdOf(0.2))
        ->toEqualWithDelta(0.06993, 1e-5);
});

it('classes by dry-cup permeance, each bound belonging to the tighter class (IRC 2021 R202, from memory)', function (
    float $perms,
    VapourClass $class,
) {
    expect(VapourClass::ofPermeance($perms * 57.2135))->toBe($class);
})->with([
    [0.05, VapourClass::I],
    [0.0999, VapourClass::I],
    [0.11, VapourClass::II],
    [0.99, VapourClass::II],
    [1.1, VapourClass::III],
    [9.9, VapourClass::III],
    [10.1, VapourClass::Open],
    [50, VapourClass::Open],
]);

it('lets a project’s own material replace a row of the catalogue whole', function () {
    $file = demoFile();
    $file['materials'] = array_values(array_filter($file['materials'], fn (array $m) => $m['id'] !== 'clt'));
    $file['materials'][] = ['id' => 'clt', 'name' => 'Our timber', 'conductivity_w_mk' => 0.2, 'sd_m' => 3];
    $layer = readProject($file)->assemblies[0]->layers[0];
    expect($layer->material->name)
        ->toBe('Our timber')
        ->and($layer->sd())
        ->toBe(3.0)
        ->and($layer->material->density)
        ->toBeNull()
        ->and($layer->material->source->kind)
        ->toBe(SourceKind::Unstated);
});

it('has the design values of ISO 10456:2007, tables 3 to 5 (from memory)', function (
    string $id,
    ?float $conductivity,
    ?float $dry,
    ?float $wet,
    ?float $density,
) {
    $m = (new Catalogue)->find($id);
    expect($m->conductivity)
        ->toBe($conductivity)
        ->and($m->vapourResistanceFactor ?? $m->sd)
        ->toBe($dry)
        ->and($m->wetCup)
        ->toBe($wet)
        ->and($m->density)
        ->toBe($density);
})->with([
    ['gypsum-board', 0.25, 10.0, 4.0, 900.0],
    ['gypsum-board-light', 0.21, 10.0, 4.0, 700.0],
    ['concrete', 2.3, 130.0, 80.0, 2300.0],
    ['concrete-light', 1.15, 100.0, 60.0, 1800.0],
    ['cement-render', 1.0, 10.0, 6.0, 1800.0],
    ['osb-iso', 0.13, 50.0, 30.0, 650.0],
    ['plywood', 0.13, 200.0, 70.0, 500.0],
    ['lumber', 0.12, 50.0, 20.0, 450.0],
    ['hardwood', 0.18, 200.0, 50.0, 700.0],
    ['granite', 2.8, 10000.0, null, 2600.0],
    ['limestone-soft', 1.1, 40.0, 25.0, 1800.0],
    ['sandstone', 2.3, 40.0, 30.0, 2600.0],
    ['roof-membrane', 0.23, 50000.0, null, 1100.0],
    ['aluminium', 160.0, 1000000.0, null, 2800.0],
    ['copper', 380.0, 1000000.0, null, 8900.0],
    ['stainless-steel', 17.0, 1000000.0, null, 7900.0],
    ['pe-film', null, 50.0, null, 950.0],
    ['pe-film-thick', null, 100.0, null, 950.0],
    ['aluminium-foil', null, 1500.0, null, 2700.0],
    ['vinyl-wallpaper', null, 2.0, null, 1300.0],
]);

it('marks every figure of the library that was recalled, and covers every family of faces', function () {
    $all = (new Catalogue)->all();
    $families = array_unique(array_map(fn (Material $m) => $m->family?->id, $all));
    foreach (
        [
            'polyolefin',
            'asphalt-paper',
            'sbs',
            'butyl',
            'acrylic',
            'fluid-acrylic',
            'fluid-polyurethane',
            'fluid-silyl',
            'fluid-silicone',
            'fluid-bitumen',
            'epdm',
            'pvc-plasticised',
            'tpo',
            'xps',
            'eps',
            'polyiso-foil',
            'polyiso-glass',
            'mineral-wool',
            'osb',
            'plywood',
            'treated-lumber',
            'clt',
            'glass-mat-gypsum',
            'gypsum',
            'concrete',
            'block',
            'brick',
            'render',
            'metal',
            'pvc-rigid',
            'fibreglass',
            'glass',
            'smart-film',
            'cellulose',
            'wood-fibre',
            'spray-foam',
            'spray-foam-open',
        ] as $family
    ) {
        expect($families)->toContain($family);
    }
    expect(array_filter($all, fn (Material $m) => $m->source->kind !== SourceKind::FromMemory))
        ->toBe([])
        ->and(count(array_filter($all, fn (Material $m) => $m->wetCup !== null)))
        ->toBeGreaterThan(40)
        ->and(count(array_filter($all, fn (Material $m) => $m->conductivityCurve !== null)))
        ->toBeGreaterThan(6)
        ->and(count(array_filter($all, fn (Material $m) => $m->permeanceCurve !== null)))
        ->toBe(5)
        ->and(count(array_filter($all, fn (Material $m) => $m->sorptionCurve !== null)))
        ->toBeGreaterThan(20);
});

it('says of everything that holds water how much, so that a transient reckoning can begin', function () {
    foreach ((new Catalogue)->all() as $material) {
        if (! $material->holdsWater()) {
            continue;
        }
        $at = fn (float $humidity): float => (float) $material->sorptionCurve?->value($humidity);
        expect($at(50))
            ->toBeGreaterThan(0.0, $material->id)
            ->and($at(80))
            ->toBeGreaterThan($at(50), $material->id)
            ->and($at(95))
            ->toBeGreaterThan($at(80), $material->id)
            ->and($material->freeSaturation)
            ->toBeGreaterThan($at(95), $material->id)
            ->and($material->waterAbsorption)
            ->toBeGreaterThan(0.0, $material->id)
            ->and($material->specificHeat)
            ->toBeGreaterThan(0.0, $material->id);
    }
});
