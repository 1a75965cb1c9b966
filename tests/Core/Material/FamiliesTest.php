<?php

declare(strict_types=1);

use Apron\Json\CoreData;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Material\Families;
use Apron\Material\Material;
use Apron\Material\Role;

it('says of every family what it does, and leaves no material of the catalogue without one', function () {
    $properties = ['holds_water', 'harmed_by_water', 'lets_air_through', 'reservoir', 'vented_sheathing'];
    $properties = [...$properties, 'foam_board', 'nail_base', 'metal', 'smart', 'offered'];
    foreach (CoreData::read('families')->get('families')->items(80) as $row) {
        foreach ($properties as $property) {
            expect($row->get($property)->raw())->toBeBool($row->named().' '.$property);
        }
    }
    foreach ((new Catalogue)->all() as $material) {
        expect($material->family)->not->toBeNull($material->id);
    }
});

it('refuses a family that is not there, on either face', function (string $key) {
    $row = ['id' => 'm', 'name' => 'm', 'conductivity_w_mk' => 0.04, 'sd_m' => 1, 'family' => 'plywood'];
    $file = ['format' => 'apron-project/1', 'project' => ['name' => 'x', 'units' => 'si']];
    expect(fn () => readProject($file + ['materials' => [[$key => 'plywod'] + $row]]))
        ->toThrow(FileRefused::class, "/materials/0/$key");
    expect(readProject($file + ['materials' => [$row]])->materials->own['m']->harmedByWater())->toBeTrue();
})->with(['family', 'back_family']);

it('calls what is harmed by water something that holds it, and wood of any treatment both', function () {
    foreach (Families::all() as $id => $family) {
        expect(! $family->harmedByWater || $family->holdsWater)->toBeTrue($id);
    }
    foreach (['lumber', 'treated-lumber', 'painted-wood', 'osb-rough', 'plywood'] as $wood) {
        expect(Families::all()[$wood]->harmedByWater)->toBeTrue($wood);
    }
});

it('takes stiff wool for a board and soft wool for what fills a cavity', function () {
    $wool = array_filter((new Catalogue)->all(), fn (Material $m): bool => $m->family?->id === 'mineral-wool');
    foreach ($wool as $material) {
        expect($material->role())->toBe(($material->density ?? 0) >= 55 ? Role::Board : Role::Cavity, $material->id);
    }
    // Of a sheet's family, but a strip of it: it stands in for no sheet.
    expect((new Catalogue)->find('flashing-strip')->role())->toBeNull();
});
