<?php

declare(strict_types=1);

use Apron\Crew\Packing;
use Apron\Takeoff\Backing;
use Apron\Takeoff\Courses;
use Apron\Takeoff\Face;
use Apron\Takeoff\LaidPiece;
use Apron\Takeoff\Pattern;
use Apron\Takeoff\Rows;
use Apron\Takeoff\Size;
use Apron\Takeoff\Stock;

/** @return array<string, array{array<string, mixed>}> the takeoffs reckoned by hand, of some kinds */
function takeoffs(string ...$kinds): array
{
    $read = json_decode((string) file_get_contents(__DIR__.'/takeoffs.json'), true);
    $cases = array_filter($read['cases'], fn (array $case): bool => in_array($case['kind'], $kinds, true));

    return array_column(array_map(fn (array $case): array => [$case['id'], [$case]], $cases), 1, 0);
}

/** @return array<string, mixed> what is told of a box of 25 × 4 m on one side, that side of one wall */
function takenOff(array $layers, array $more = [], float $length = 25000, array $building = []): array
{
    $file = $more + [
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'assemblies' => [['id' => 'w1', 'name' => 'W', 'kind' => 'wall', 'layers' => $layers]],
        'building' => $building + [
            'blocks' => [
                [
                    'id' => 'hall',
                    'outline' => [[0, 0], [$length, 0], [$length, 9000], [0, 9000]],
                    'base_mm' => 0,
                    'top_mm' => 4000,
                    'walls' => (object) ['0' => 'w1'],
                ],
            ],
        ],
    ];
    $assessed = new Apron\Project\Assessment(readProject($file));
    $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI);

    return json_decode(json_encode($assessed->toArray($words)), true);
}

/** @return array<string, mixed> the one line of a material */
function boughtLine(array $told, string $material, string $what): array
{
    $lines = array_values(
        array_filter(
            $told['quantities'],
            fn (array $q): bool => $q['material'] === $material && $q['what'] === $what,
        ),
    );
    expect($lines)->toHaveCount(1);

    return $lines[0];
}

/** A plain coat or bead whose product says what a case asks. */
function boughtMaterial(string $family, array $product): array
{
    return [
        'id' => 'it',
        'name' => 'It',
        'family' => $family,
        'conductivity_w_mk' => 0.2,
        'sd_m' => 1,
        'product' => (object) array_filter($product, fn ($value) => $value !== null),
        'source' => ['kind' => 'data-sheet', 'name' => 'invented'],
    ];
}

it('lays sheets as they were reckoned by hand', function (array $case) {
    [$length, $height] = [1000 * $case['wall_m'][0], 1000 * $case['wall_m'][1]];
    $size = new Size(
        1000 * $case['roll_m'][1],
        1000 * $case['roll_m'][0],
        1000 * $case['lap_m'][0],
        1000 * $case['lap_m'][1],
    );
    $backing = new Backing(1000 * $case['stud_m'], 0, $length);
    $pieces = (new Courses(Face::plain('p', $length, $height), $backing, $size))->level();
    $lengths = array_map(fn (LaidPiece $p): float => round($p->length / 1000, 4), $pieces);
    $cut = array_map(fn (LaidPiece $p): float => $p->length, $pieces);
    expect($lengths)
        ->toEqual($case['pieces_m'])
        ->and(count(array_unique(array_map(fn (LaidPiece $p): int => $p->course, $pieces))))
        ->toBe($case['courses'])
        ->and(array_sum(array_map(fn (LaidPiece $p): float => $p->area(), $pieces)))
        ->toEqualWithDelta($case['gross_m2'], 1e-9)
        ->and(max(Packing::firstFit($cut, $size->length)))
        ->toBe($case['rolls']);
})->with(takeoffs('sheet'));

it('lays boards as they were reckoned by hand', function (array $case) {
    [$length, $height] = [1000 * $case['wall_m'][0], 1000 * $case['wall_m'][1]];
    // The window stands in the middle.
    $holes = array_map(fn (array $o): array => [
        $length / 2 - 500 * $o[0],
        $height / 2 - 500 * $o[1],
        $length / 2 + 500 * $o[0],
        $height / 2 + 500 * $o[1],
    ], $case['openings_m'] ?? []);
    $size = new Size(1000 * $case['board_m'][0], 1000 * $case['board_m'][1]);
    $backing = new Backing(1000 * $case['stud_m'], 0, $length);
    $stock = new Stock($size);
    $all = $behind = [];
    for ($layer = 0; $layer < $case['layers']; $layer++) {
        $rows = new Rows(Face::plain('p', $length, $height, $holes), $backing, $size, $stock, null, $behind);
        $behind = $rows->pieces();
        $stock = $rows->stock();
        $all = [...$all, ...$behind];
    }
    $boards = Stock::together($all, $size);
    expect($boards)
        ->toBe($case['boards'])
        ->and($boards * $size->area())
        ->toEqualWithDelta($case['gross_m2'], 1e-9)
        ->and(min(array_map(fn (LaidPiece $p): float => $p->length, $all)))
        ->toBeGreaterThanOrEqual(200.0);
    foreach ($all as $piece) {
        expect($backing->holds($piece->right))->toBeTrue();
        foreach ($holes as [$left, $sill, $right, $head]) {
            $touches = $piece->foot <= $head && $piece->top >= $sill && $piece->right < $length;
            expect($touches && min(abs($piece->right - $left), abs($piece->right - $right)) < 150)->toBeFalse();
        }
    }
})->with(takeoffs('board'));

it('takes fluids off as they were reckoned by hand', function (array $case) {
    $told = takenOff(
        [
            [
                'id' => 'l1',
                'material' => $case['texture'] > 1 ? 'concrete-block' : 'glass-mat-gypsum',
                'thickness_mm' => 100,
            ],
            ['id' => 'l2', 'material' => 'it', 'thickness_mm' => $case['dry_mm'] ?? 0.5],
        ],
        ['materials' => [boughtMaterial('fluid-acrylic', [
            'solids_pct' => $case['solids_pct'] ?? null,
            'coverage_m2_l' => $case['coverage_m2_l'] ?? null,
            'pack_l' => $case['pack_l'],
        ])], 'takeoff' => ['layers' => [['assembly' => 'w1', 'layer' => 'l2', 'waste_pct' => 0]]]],
        1000 * $case['area_m2'] / 4,
    );
    $line = boughtLine($told, 'it', 'volume');
    expect($line['net'])
        ->toEqualWithDelta($case['litres'], 1e-9)
        ->and($line['unit'])
        ->toBe('l')
        ->and($line['order'])
        ->toEqual(['unit' => 'pail', 'holds' => $case['pack_l'], 'count' => $case['packs']]);
})->with(takeoffs('fluid'));

it('takes beads off as they were reckoned by hand', function (array $case) {
    $length = 100 * $case['length_m'];
    $isFoam = isset($case['fill_pct']);
    $facets = ['face' => ['u' => [0, 4000], 'v' => [0, 1000]]];
    $bead = [
        'id' => 'd1',
        'title' => 'D',
        'facets' => $facets,
        'release' => 'face',
        'pieces' => [
            [
                'id' => 'bead',
                'material' => 'it',
                'kind' => 'sealant',
                'step' => 1,
                'patches' => [
                    ['id' => 'b', 'facet' => 'face', 'rect' => [0, 0, $length, $case['width_mm']], 'step' => 1],
                ],
            ],
        ],
    ];
    // A quarter of the metres on each side of a square unit.
    $joint = ['outer' => 'open', 'insulation' => true, 'inner' => false];
    $unit = [
        'id' => 'd1',
        'title' => 'D',
        'opening' => ['width_mm' => $length / 4, 'height_mm' => $length / 4, 'depth_mm' => 140, 'margin_mm' => 300],
        'unit' => ['z' => [0, 80], 'flange' => null, 'joints' => [
            'sill' => $joint, 'head' => $joint, 'jamb-left' => $joint, 'jamb-right' => $joint,
        ]],
        'pieces' => [
            [
                'id' => 'mark',
                'material' => 'seam-tape',
                'kind' => 'tape',
                'step' => 1,
                'patches' => [['id' => 'm', 'facet' => 'face', 'rect' => [-200, -200, -100, -150], 'step' => 1]],
            ],
        ],
    ];
    $placed = $isFoam
        ? array_map(
            fn (int $i): array => ['detail' => 'd1', 'block' => 'hall', 'edge' => 0] +
                ['x_mm' => 500 + 2000 * $i, 'z_mm' => 900],
            range(0, 9),
        )
        : [['detail' => 'd1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 900, 'count' => 10]];
    $told = takenOff(
        [['id' => 'l1', 'material' => 'osb', 'thickness_mm' => 11]],
        ['materials' => [boughtMaterial('silyl', ['pack_l' => $case['pack_l'] ?? null])]] +
            ['details' => [$isFoam ? $unit : $bead]],
        25000,
        ['placed' => $placed],
    );
    $line = boughtLine($told, $isFoam ? 'gun-foam' : 'it', 'volume');
    expect($line['net'])
        ->toEqualWithDelta($case['litres'], 1e-9)
        ->and((int) ceil($line['net'] / $line['order']['holds'] - 1e-9))
        ->toBe($case['packs'])
        ->and($line['gross'])
        ->toBeGreaterThan($line['net']);
})->with(takeoffs('bead'));

it('counts fasteners as they were counted by hand', function (array $case) {
    $count = isset($case['wall_m'])
        ? array_sum(array_column((new Pattern($case['spacing_mm'], $case['spacing_mm']))->upLines(
            Face::plain('p', 1000 * $case['wall_m'][0], 1000 * $case['wall_m'][1]),
            new Backing(1000 * $case['stud_m'], 0, 1000 * $case['wall_m'][0]),
        ), 3))
        : Pattern::inLine(1000 * $case['length_m'], $case['spacing_mm']);
    expect($count)->toBe($case['fasteners']);
})->with(takeoffs('count'));

it('cuts strips off rolls as they were packed by hand', function (array $case) {
    $lengths = array_map(fn (float|int $m): float => 1000.0 * $m, $case['pieces_m']);
    expect(max(Packing::firstFit($lengths, 1000 * $case['roll_m'][1])))
        ->toBe($case['rolls'])
        ->and(Packing::atLeast($lengths, 1000 * $case['roll_m'][1]))
        ->toBe($case['rolls'])
        ->and(array_sum($case['pieces_m']))
        ->toEqualWithDelta($case['net_m'], 1e-9);
})->with(takeoffs('strips'));
