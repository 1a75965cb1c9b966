<?php

declare(strict_types=1);

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Uses;
use Apron\Json\CoreData;
use Apron\Material\Catalogue;
use Apron\Material\Families;
use Apron\Method\Methods;

it('says of every place of every method what can be there, by families that there are, and of no other place', function () {
    $places = [];
    foreach (Methods::all() as $method) {
        // With each choice given otherwise, for a choice brings its own materials.
        $asked = $method->parameters();
        foreach ($asked as $choice) {
            foreach ($choice['kind'] === 'choice' ? $choice['of'] : [] as $answer) {
                array_push($asked, ...$method->parameters([$choice['name'] => $answer]));
            }
        }
        if ($method->name() === 'flanged-unit-in-fastened-sheet') {
            array_push($asked, ...$method->parameters(['first' => 'opening', 'dressing' => 'sheet-strips']));
        }
        foreach ($asked as $parameter) {
            if ($parameter['kind'] === 'material') {
                $places[$parameter['name']] = true;
                expect(Uses::takes($parameter['name'], (new Catalogue)->find($parameter['value'])))->toBeTrue(
                    "{$method->name()}: {$parameter['name']}",
                );
            }
        }
    }
    expect(array_keys(CoreData::read('uses')->get('places')->entries()))->toEqualCanonicalizing(array_keys($places));
    foreach (CoreData::read('uses')->get('uses')->entries() as $use => $families) {
        foreach ($families->items(1) as $family) {
            expect(isset(Families::all()[$family->id()]))->toBeTrue("$use: {$family->id()}");
        }
    }
});

it('refuses what no crew could build there, by name, with what would be right', function (
    string $place,
    string $material,
    string $family,
) {
    $sizes = ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0];
    $own = new Apron\Material\Materials([], new Catalogue);
    try {
        Methods::named('flanged-unit-in-fastened-sheet')->make('o', 'O', $sizes + [$place => $material], $own);
    } catch (CannotGenerate $refused) {
        expect($refused->getMessage())->toContain($place)->toContain($family);

        return;
    }
    expect('refused')->toBe('made');
})->with([
    'air for a sheet' => ['sheet_material', 'air-layer', 'polyolefin'],
    'gypsum for a pan' => ['pan_material', 'gypsum-board', 'butyl'],
    'a coat for a tape' => ['tape_material', 'fluid-flashing', 'acrylic'],
    'a wrap for a pan' => ['pan_material', 'polyolefin-wrap', 'butyl'],
]);

it('takes a material of one’s own whose family nobody has said', function () {
    $project = readProject(
        wallFile([[0.25, 10, 12.5]], more: [
            'openings' => [
                [
                    'id' => 'o1',
                    'title' => 'O',
                    'generator' => 'flanged-unit-in-fastened-sheet',
                    'parameters' => [
                        'width_mm' => 900,
                        'height_mm' => 1200,
                        'depth_mm' => 140,
                        'sheet_material' => 'm0',
                    ],
                ],
            ],
        ]),
    );
    expect($project->details)->toHaveCount(1);
});
