<?php

use Apron\Detail\Edge;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Quantity\UnitSystem;
use Apron\Schools;
use Apron\Sequence\Generators;
use Apron\Trace\DetailAssessment;
use Apron\Words;

it('offers no answer that changes nothing: a choice of a method, a material, words, or a verdict', function () {
    $choices = array_merge(...array_values(array_map(fn ($g) => array_filter($g->parameters(), fn (array $p) => $p['kind'] === 'choice'), Generators::all())));
    $codes = implode(' ', array_keys(json_decode(file_get_contents(__DIR__.'/../../../core/data/words/handling.json'), true)));
    // The check of the sill, the judgement of bonds and the surface films read these themselves; their tests are with those.
    $read = ['outer-sill', 'bonds', 'films', 'unit-depth'];
    foreach (Schools::all() as $school) {
        foreach (array_slice($school['of'], 1) as ['value' => $answer]) {
            $chosen = array_filter($choices, fn (array $p) => $p['name'] === str_replace('-', '_', $school['question']) && in_array($answer, $p['of'], true));
            $somewhere = $chosen !== [] || Schools::materials($school['question'], $answer) !== [] || str_contains($codes, "@{$school['question']}.$answer") || in_array($school['question'], $read, true);
            expect($somewhere)->toBeTrue("{$school['question']}: $answer");
        }
    }
});

it('takes the flashing of openings from the school, where a method has such a piece and the opening does not say otherwise', function () {
    $settled = fn (string $name) => Generators::settled(Generators::named($name), ['opening-flashing' => 'impermeable'], null);
    expect($settled('flanged-unit-in-self-adhered'))->toBe(['strip_material' => 'membrane-butyl'])->and($settled('flanged-unit-in-fluid'))->toBe(['flashing_material' => 'fluid-impermeable'])
        ->and($settled('board-joint'))->toBe([]);
    $row = ['id' => 'w', 'title' => 'W', 'generator' => 'flanged-unit-in-self-adhered', 'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140]];
    $of = function (array $row): string {
        $file = ['format' => 'apron-project/1', 'project' => ['name' => 'P', 'units' => 'si', 'schools' => ['opening-flashing' => 'impermeable']], 'openings' => [$row]];

        return readProject($file)->details[0]->piece('head-strip')->material->id;
    };
    expect($of($row))->toBe('membrane-butyl')->and($of(array_replace_recursive($row, ['parameters' => ['strip_material' => 'flashing-strip']])))->toBe('flashing-strip');
});

it('sets a unit as deep as the school says, by its own opening, where it can sit anywhere', function (string $school, array $parameters, ?float $setback) {
    $method = $parameters['generator'] ?? 'strapped-unit-in-self-adhered';
    unset($parameters['generator']);
    expect(Generators::settled(Generators::named($method), ['unit-depth' => $school], null, $parameters)['setback_mm'] ?? null)->toBe($setback);
})->with([
    'as figured' => ['figure', ['depth_mm' => 140.0], null],
    'at the face' => ['outer-face', ['depth_mm' => 140.0], 0.0],
    'in the middle, frames as usual 80 deep' => ['middle-third', ['depth_mm' => 140.0], 30.0],
    'in the middle, a deeper frame' => ['middle-third', ['depth_mm' => 200.0, 'frame_depth_mm' => 120.0], 40.0],
    'a frame as deep as the return' => ['middle-third', ['depth_mm' => 80.0], 0.0],
    'a flange has its place' => ['outer-face', ['depth_mm' => 140.0, 'generator' => 'flanged-unit-in-fluid'], null],
    'behind a board it stays at the sheathing' => ['middle-third', ['depth_mm' => 140.0, 'generator' => 'unit-in-two-planes'], null],
]);

it('lets an opening of the schedule say its own depth', function () {
    $of = fn (array $more) => readProject(['format' => 'apron-project/1', 'project' => ['name' => 'P', 'units' => 'si', 'schools' => ['unit-depth' => 'middle-third']], 'openings' => [['id' => 'w', 'title' => 'W', 'generator' => 'strapped-unit-in-fluid', 'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 160] + $more]]])->details[0]->unit->outerZ;
    expect($of([]))->toBe(40.0)->and($of(['setback_mm' => 5]))->toBe(5.0);
});

it('closes the air line on four sides wherever the school puts the seal, and says what is lost without the bead at the sill', function (string $seal) {
    $detail = Generators::named('strapped-unit-in-self-adhered')->make('o', 'O', ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0, 'air_seal' => $seal], new Materials([], new Catalogue));
    $does = array_map(fn ($step) => $step->does, $detail->steps);
    expect((new DetailAssessment($detail))->air)->toBe(['sill' => true, 'head' => true, 'jamb-left' => true, 'jamb-right' => true])
        ->and(end($does))->toBe(['sealant' => 'inner-air-seal', 'tape' => 'inner-tape', 'outer-tape' => 'inner-sill-bead'][$seal])
        // The sill drains in every school.
        ->and($detail->unit->joints['sill']->outer)->toBe(Edge::Open)->and($detail->unit->joints['head']->inner)->toBe($seal !== 'outer-tape');
    $row = Apron\File\DetailWriter::write($detail);
    $row['unit']['joints']['sill']['inner'] = false;
    $without = new DetailAssessment(Apron\File\DetailFormat::read(Apron\File\Node::of($row), new Materials([], new Catalogue)));
    expect($without->air['sill'])->toBeFalse()->and($without->severity()->value)->toBe('fail');
})->with(['sealant', 'tape', 'outer-tape']);

it('leaves out the gap under sheathing that is bedded', function () {
    $cut = fn (string $foot) => Generators::named('sheathing-to-foundation')->make('d', 'D', ['length_mm' => 2000.0, 'sheathing_foot' => $foot], new Materials([], new Catalogue))->piece('foot-strip')->cut->width;
    expect($cut('gap') - $cut('bedded'))->toBe(6.0);
});

it('says on a card what the school of the project says', function () {
    $words = new Words(UnitSystem::SI);
    expect($words->coded('handling.sealant', ['bead' => 'mass']))->toBe('handling.sealant@bead.mass')->and($words->coded('handling.sealant', ['bead' => 'tooled']))->toBe('handling.sealant')
        ->and($words->coded('handling.metal', ['bead' => 'mass', 'press' => 'hand']))->toBe('handling.metal');
});
