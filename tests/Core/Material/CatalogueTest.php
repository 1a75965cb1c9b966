<?php

use Apron\File\MaterialFormat;
use Apron\File\Node;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Material\VapourClass;
use Apron\SourceKind;

it('has at least thirty generic materials, each with a source, a family and a thickness to start from', function () {
    $all = (new Catalogue)->all();
    expect(count($all))->toBeGreaterThanOrEqual(30)->and(count(array_unique(array_map(fn (Material $m) => $m->id, $all))))->toBe(count($all));
    foreach ($all as $material) {
        expect($material->source->kind)->not->toBe(SourceKind::Unstated)->and($material->source->name)->not->toBe('')->and($material->family)->not->toBeNull()->and($material->usualThicknessMm)->toBeGreaterThan(0.0);
        expect(MaterialFormat::write(MaterialFormat::read(Node::of(MaterialFormat::write($material)))))->toEqual(MaterialFormat::write($material));
    }
});

it('gives the resistance and the sd-value of a thickness', function () {
    $catalogue = new Catalogue;
    // 100 mm of λ 0.035: 2.857 m²K/W; of μ 1: 0.1 m. 0.15 mm of polyethylene is sd 50 m however thick it is said to be.
    expect($catalogue->find('mineral-wool-board')->resistanceOf(100))->toEqualWithDelta(2.857143, 1e-6)->and($catalogue->find('mineral-wool-board')->sdOf(100))->toEqualWithDelta(0.1, 1e-12)
        ->and($catalogue->find('pe-film')->sdOf(0.3))->toBe(50.0)
        // 50 perm is 2860 ng/(Pa·s·m²); δ₀ over that is 0.06993 m.
        ->and($catalogue->find('polyolefin-wrap')->sdOf(0.2))->toEqualWithDelta(0.06993, 1e-5);
});

it('classes by dry-cup permeance, each bound belonging to the tighter class (IRC 2021 R202, from memory)', function (float $perms, VapourClass $class) {
    expect(VapourClass::ofPermeance($perms * 57.2135))->toBe($class)->and(VapourClass::ofSd(200 / ($perms * 57.2135)))->toBe($class);
})->with([[0.05, VapourClass::I], [0.0999, VapourClass::I], [0.11, VapourClass::II], [0.99, VapourClass::II], [1.1, VapourClass::III], [9.9, VapourClass::III], [10.1, VapourClass::Open], [50, VapourClass::Open]]);

it('lets a project’s own material replace a row of the catalogue whole', function () {
    $file = demoFile();
    $file['materials'] = array_values(array_filter($file['materials'], fn (array $m) => $m['id'] !== 'clt'));
    $file['materials'][] = ['id' => 'clt', 'name' => 'Our timber', 'conductivity_w_mk' => 0.2, 'sd_m' => 3];
    $layer = readProject($file)->assemblies[0]->layers[0];
    expect($layer->material->name)->toBe('Our timber')->and($layer->sd())->toBe(3.0)->and($layer->material->density)->toBeNull()->and($layer->material->source->kind)->toBe(SourceKind::Unstated);
});
