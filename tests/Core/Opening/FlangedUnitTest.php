<?php

declare(strict_types=1);

use Apron\Crew\CutList;
use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Drafting\CannotGenerate;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Opening\Presets;

function opening(array $parameters): Apron\Detail\Detail
{
    return Presets::all()['flanged-unit-in-fastened-sheet']->make(
        'o',
        'O',
        $parameters,
        new Materials([], new Catalogue),
    );
}

// Thirty sizes; everything expected below is worked out here from the carpenter's rules, not from the generator's
// figures.
$sizes = [];
foreach ([400, 610, 900, 1220, 2400, 5800] as $w) {
    foreach ([450, 700, 1200, 2100, 3000] as $i => $h) {
        $sizes["$w × $h"] = [$w, $h, [90, 140, 184, 235, 300][$i]];
    }
}

it('cuts and orders the pieces of an opening', function (int $w, int $h, int $d) {
    $detail = opening(['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => $d]);
    $cut = [];
    foreach (CutList::of($detail) as $row) {
        $cut[$row['pieces'][0]] = [$row['step'], $row['count'], $row['length_mm'], $row['width_mm']];
    }
    expect($cut)->toEqual([
        'pan' => [2, 1, $w + 150 + 150, $d + 75], // up both jambs; the sill and the leg on the face
        'liner-left' => [3, 2, $h - 75, $d + 75], // from 75 below the pan's top to the head
        'head-liner' => [4, 1, $w + 75 + 75, $d + 75], // down both jambs by a lap; the head and the leg on the face
        'jamb-strip-left' => [6, 2, $h + 75, 150], // from the sill to 75 past the head
        'head-strip' => [7, 1, $w + 2 * (140 + 50), 230], // 140 of jamb strip beside the opening, 50 more
        'slit-tape-left' => [9, 2, 150 + 2 * 75, 150], // the slit's 150 and 75 past both its ends
    ]);

    $order = [];
    foreach ($detail->pieces as $piece) {
        foreach ($piece->patches as $patch) {
            $order[$patch->id] = $patch->step;
        }
    }
    // Water runs down and out: each of these lies over the one below it.
    foreach (
        [
            ['pan.sill', 'sheet.in-sill'],
            ['pan.face', 'sheet.below'],
            ['liner-left.jamb', 'pan.jamb-left'],
            ['liner-right.jamb', 'pan.jamb-right'],
            ['head-liner.jamb-left', 'liner-left.jamb'],
            ['unit.flange', 'head-liner.face'],
            ['jamb-strip-left.face', 'unit.flange'],
            ['head-strip.face', 'jamb-strip-left.face'],
            ['sheet.flap', 'head-strip.face'],
            ['slit-tape-left.face', 'sheet.flap'],
        ] as [$over, $under]
    ) {
        expect($order[$over])->toBeGreaterThan($order[$under], "$over over $under");
    }
})->with($sizes);

it('shingles: the foot of each upper piece reaches below the top of the next', function (int $w, int $h, int $d) {
    $detail = opening(['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => $d]);
    $rect = fn (string $piece, string $patch) => $detail->piece($piece)->patch($patch)->rect;
    $flap = $rect('sheet', 'sheet.flap');
    $head = $rect('head-strip', 'head-strip.face');
    $jamb = $rect('jamb-strip-left', 'jamb-strip-left.face');
    $flange = $rect('unit', 'unit.flange');
    expect($head->v1 - $flap->v0)
        ->toBeGreaterThanOrEqual(100)
        ->and([$flap->u0, $flap->u1])
        ->toBe([$head->u0, $head->u1]) // the head strip's whole top edge lies under the flap
        ->and($flap->v1)
        ->toBeGreaterThan($head->v1)
        ->and($jamb->v1 - $head->v0)
        ->toBeGreaterThanOrEqual(75)
        ->and($head->v0)
        ->toBeLessThan($flange->v1)
        ->and($jamb->v0)
        ->toBe(0.0) // nothing bonded closes the drain below the sill
        ->and($flange->v0)
        ->toBeLessThan(0.0)
        ->and($rect('pan', 'pan.face')->v0)
        ->toBeLessThan($flange->v0) // what leaves the flange lands on the pan
        ->and($detail->piece('unit')->edges->at(Apron\Detail\Side::Bottom, $w / 2))
        ->toBe(Apron\Detail\Edge::Open)
        ->and($detail->piece('unit')->edges->at(Apron\Detail\Side::Top, $w / 2))
        ->toBe(Apron\Detail\Edge::Sealed);
})->with($sizes);

it('survives being written and read', function () {
    $materials = new Materials([], new Catalogue);
    $written = DetailWriter::write(opening(['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140.5]));
    expect(DetailWriter::write(DetailFormat::read(Node::of($written), $materials)))->toEqual($written);
});

it('refuses sizes it cannot dress, naming the one at fault', function (array $change, string $parameter) {
    $caught = null;
    try {
        opening($change + ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140]);
    } catch (CannotGenerate $refused) {
        $caught = $refused->parameter;
    }
    expect($caught)->toBe($parameter);
})->with([
    [['width_mm' => 0], 'width_mm'],
    [['height_mm' => -5], 'height_mm'],
    [['depth_mm' => 5000], 'depth_mm'],
    [['margin_mm' => 200], 'margin_mm'],
    [['clearance_mm' => 40], 'clearance_mm'],
    [['head_strip_mm' => 120], 'head_strip_mm'],
    [['flap_mm' => 60], 'flap_mm'],
    [['jamb_strip_past_head_mm' => 150], 'jamb_strip_past_head_mm'],
    [['pan_upturn_mm' => 1300], 'height_mm'],
    [['colour' => 3], 'colour'],
    [['sheet_material' => 'cheese'], 'sheet_material'],
    [['width_mm' => 'wide'], 'width_mm'],
]);
