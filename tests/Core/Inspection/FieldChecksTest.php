<?php

declare(strict_types=1);

use Apron\Assembly\AssemblyFormat;
use Apron\Assembly\SurfaceFilms;
use Apron\Inspection\Check;
use Apron\Inspection\CheckFormat;
use Apron\Inspection\CheckOf;
use Apron\Inspection\FieldChecks;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Rules\Words;

/**
 * A framed wall with a plane of a material, sheathed, with boards outside of it or none.
 *
 * @return array<string, Check> its checks by what they are
 */
function checksOfField(string $plane, ?string $outside = 'mineral-wool-board', array $schools = []): array
{
    $layer = fn (string $id, string $material, float $mm, array $more = []): array => $more + [
        'id' => $id,
        'material' => $material,
        'thickness_mm' => $mm,
    ];
    $wall = AssemblyFormat::read(
        Node::of([
            'id' => 'w1',
            'name' => 'Wall',
            'kind' => 'wall',
            'layers' => array_values(
                array_filter([
                    $layer('film', 'smart-film-fleece', 0.4, ['controls' => ['air', 'vapour']]),
                    $layer('studs', 'mineral-wool-batt', 140, [
                        'framing' => ['material' => 'lumber', 'fraction' => 0.15, 'spacing_mm' => 406],
                    ]),
                    str_contains($plane, 'osb') ? null : $layer('sheathing', 'plywood', 12),
                    $layer('plane', $plane, 11, ['controls' => ['water', 'air']]),
                    $outside === null ? null : $layer('board', $outside, 50),
                ]),
            ),
        ]),
        new Materials([], new Catalogue),
        SurfaceFilms::from('iso'),
        null,
    );
    $checks = [];
    foreach (FieldChecks::of($wall, $schools) as $check) {
        expect($check->of)->toBe(CheckOf::Assembly)->and($checks)->not->toHaveKey("$check->what $check->place");
        $checks["$check->what $check->place"] = $check;
    }

    return $checks;
}

it('asks of the field of a plane what that plane is read by', function (string $plane, array $whats) {
    $asked = array_keys(checksOfField($plane));
    expect(array_values(preg_grep('/ plane$/', $asked)))->toBe(array_map(fn ($w): string => "field-$w plane", $whats));
    // The inner film and the boards outside have theirs whatever the plane is.
    expect($asked)->toContain('field-inner-lap film', 'field-board-gap board');
})->with([
    ['polyolefin-wrap', ['lap-level', 'lap-upright', 'lap-backed', 'fasteners', 'sheet-whole']],
    ['membrane-permeable', ['substrate', 'lap-membrane', 'rolled']],
    ['fluid-permeable', ['substrate', 'film', 'coat-whole']],
    ['osb-film-faced', ['board-gap', 'tape-side', 'under-tape', 'heads']],
    ['insulated-sheathing-foil', ['board-gap', 'tape-side', 'under-tape', 'heads']],
]);

it('bounds gaps by a most, panels on both sides, laps by a least, a coat by its film', function () {
    $faced = checksOfField('osb-film-faced');
    $backed = checksOfField('polyolefin-wrap', null, ['sheet-laps' => '150-150']);
    $sheet = checksOfField('polyolefin-wrap');
    expect([$faced['field-board-gap plane']->bounds->least, $faced['field-board-gap plane']->bounds->most])
        ->toBe([2.0, 6.0])
        ->and($sheet['field-board-gap board']->bounds->least)
        ->toBeNull()
        ->and($sheet['field-board-gap board']->bounds->judge(4.0)->value)
        ->toBe('caution')
        ->and($sheet['field-panel-edge sheathing']->bounds->judge(151.0)->value)
        ->toBe('caution')
        ->and($sheet['field-lap-level plane']->bounds->judge(49.0)->value)
        ->toBe('fail')
        ->and($backed['field-lap-level plane']->bounds->least)
        ->toBe(150.0)
        ->and(checksOfField('fluid-permeable')['field-film plane']->film)
        ->toBeTrue();
});

it('says each in words, and nothing of layers that are not there', function () {
    foreach (['polyolefin-wrap', 'membrane-permeable', 'fluid-permeable', 'osb-film-faced'] as $plane) {
        foreach (checksOfField($plane) as $check) {
            expect(CheckFormat::told($check, new Words(Apron\Quantity\UnitSystem::SI))['title'])->not->toContain('{');
        }
    }
    expect(preg_grep('/ board$/', array_keys(checksOfField('polyolefin-wrap', null))))->toBe([]);
});
