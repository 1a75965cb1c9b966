<?php

declare(strict_types=1);

use Apron\Detail\Detail;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\WallPlane;
use Apron\Inspection\DetailChecks;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Rules\Finding;
use Apron\Trace\DetailAssessment;

/** @return array<string, float> the sizes that a junction must be given */
function sizesOfJunction(FacetDetail $method, array $given = []): array
{
    $usual = ['length_mm' => 1500.0, 'height_mm' => 900.0, 'width_mm' => 400.0, 'shank_mm' => 5.0];
    $sizes = [];
    foreach ($method->parameters($given) as $p) {
        if ($p['kind'] === 'size') {
            $sizes[$p['name']] = $usual[$p['name']] ?? 100.0;
        }
    }

    return $sizes;
}

/** @return list<array<string, string>> the answers to its choices, each with each */
function choicesOfJunction(FacetDetail $method, array $given): array
{
    $all = [$given];
    foreach ($method->parameters($given) as $p) {
        if ($p['kind'] === 'choice' && $p['name'] !== 'plane') {
            $all = array_merge(
                ...array_map(
                    fn (array $one): array => array_map(fn (string $of): array => $one + [$p['name'] => $of], $p['of']),
                    $all,
                ),
            );
        }
    }

    return $all;
}

function junctionIn(string $name, array $given): Detail
{
    $method = Methods::named($name);

    return $method->make('d', 'D', $given + sizesOfJunction($method, $given), new Materials([], new Catalogue));
}

/** @return array<string, array{string, string}> every junction with every plane that it can be made in */
function junctionsInPlanes(): array
{
    $all = [];
    foreach (Methods::all() as $name => $method) {
        foreach ($method->parameters() as $p) {
            if ($method instanceof FacetDetail && $p['name'] === 'plane') {
                foreach ($p['of'] as $plane) {
                    $all["$name in $plane"] = [$name, $plane];
                }
            }
        }
    }

    return $all;
}

it('makes a junction in every plane of a wall: sound, in that plane, as good as it says', function ($name, $plane) {
    $method = Methods::named($name);
    $kind = WallPlane::from($plane)->kind();
    foreach (choicesOfJunction($method, ['plane' => $plane]) as $given) {
        foreach ([[], $method->inInches($given)] as $inches) {
            $detail = junctionIn($name, $given + $inches);
            $assessed = new DetailAssessment($detail);
            $bad = array_filter(
                $assessed->findings(),
                fn (Finding $f): bool => $f->severity->value === 'fail' || $f->code === 'lap.short',
            );
            $said = json_encode($given);
            expect(array_map(fn (Finding $f): string => $f->key(), $bad))->toBe([], "$name $said");
            expect($assessed->worst())->toBe($method->worst($given), "$name $said");
            $fields = array_filter($detail->pieces, fn ($p): bool => $p->role === PieceRole::Plane);
            $of = array_unique(array_map(fn ($p): string => $p->kind->value, $fields));
            expect(in_array($kind->value, $of, true))
                ->toBeTrue("$name $said")
                ->and(DetailChecks::of($detail))
                ->not->toBe([]);
        }
    }
})->with(junctionsInPlanes(...));

it('lays boards before what is bonded to them, and a coat after what it goes over', function () {
    foreach (junctionsInPlanes() as [$name, $plane]) {
        $detail = junctionIn($name, ['plane' => $plane]);
        $steps = fn (bool $field): array => array_map(
            fn ($p): int => $p->step,
            array_filter(
                $detail->pieces,
                fn ($p): bool => $field
                    ? $p->role === PieceRole::Plane && $p->kind === PieceKind::Board
                    : in_array($p->kind, [PieceKind::Membrane, PieceKind::Formable, PieceKind::Sheet], true),
            ),
        );
        // Of a junction in boards the field is there before any membrane, but what waterproofs the ground below it.
        if (WallPlane::from($plane)->standsFirst() && ! in_array($name, ['parapet', 'below-grade-to-wall'], true)) {
            expect(max($steps(true) ?: [0]))->toBeLessThan(min($steps(false) ?: [PHP_INT_MAX]), "$name in $plane");
        }
    }
});

it('refuses a plane that a junction cannot be made in, and says why and what can', function () {
    expect(fn () => junctionIn('overhanging-foot', ['plane' => 'fluid']))->toThrow(
        CannotGenerate::class,
        'sheathing-to-foundation, for a coat ends on what it is laid on',
    );
    expect(fn () => junctionIn('wall-corner', ['plane' => 'thatch']))->toThrow(CannotGenerate::class, 'one of');
});

it('closes the joints of boards tight for foam and gapped for panels, in tape, sealant or fabric', function () {
    $gap = fn (array $given): float => (function (Detail $d): float {
        $upper = array_map(fn (string $hand) => $d->piece("board-upper-$hand")->patches[0]->rect, ['left', 'right']);

        return $upper[1]->u0 - $upper[0]->u1;
    })(junctionIn('board-joint', $given));
    expect($gap(['plane' => 'taped-insulation']))
        ->toBe(0.0)
        ->and($gap(['plane' => 'faced-sheathing']))
        ->toBe(3.0);
    // What is spread is a film that is gauged, and cut from no roll.
    $fabric = junctionIn('board-joint', ['plane' => 'fluid', 'board_joints' => 'fabric']);
    expect($fabric->piece('level-seam')->kind)
        ->toBe(PieceKind::Fluid)
        ->and($fabric->piece('level-seam')->cut)
        ->toBeNull();
    expect(fn () => junctionIn('board-joint', ['plane' => 'faced-sheathing', 'board_joints' => 'fabric']))->toThrow(
        CannotGenerate::class,
        'one of tape, sealant',
    );
});
