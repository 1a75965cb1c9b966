<?php

declare(strict_types=1);

use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Detail\Edge;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Detail\Side;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;

/** A wall meeting a roof, with everything in it that a detail can say. */
function handWritten(array $change = []): array
{
    return array_replace(
        [
            'id' => 'd1',
            'title' => 'Apron flashing',
            'facets' => [
                'roof' => ['u' => [0, 2000], 'v' => [0, 1500]],
                'face' => ['u' => [0, 2000], 'v' => [0, 1000]],
            ],
            'folds' => [['from' => 'face', 'to' => 'roof', 'at_v' => 1500]],
            'release' => 'face',
            'tolerant' => ['roof'],
            'pieces' => [
                [
                    'id' => 'sheet',
                    'material' => 'polyolefin-wrap',
                    'kind' => 'sheet',
                    'role' => 'plane',
                    'step' => 3,
                    'patches' => [['id' => 's', 'facet' => 'face', 'rect' => [0, 100, 2000, 1000]]],
                ],
                [
                    'id' => 'metal',
                    'material' => 'aluminium',
                    'kind' => 'metal',
                    'role' => 'head-flashing',
                    'step' => 2,
                    'under' => 'sheet',
                    'edges' => ['top' => [['from' => 0, 'to' => 900, 'edge' => 'sealed']], 'left' => 'adhered'],
                    'patches' => [
                        [
                            'id' => 'm1',
                            'facet' => 'face',
                            'rect' => [0, 0, 2000, 200],
                            'joined' => ['m'],
                            'edges' => ['bottom' => 'open'],
                        ],
                        [
                            'id' => 'm2',
                            'facet' => 'roof',
                            'rect' => [0, 1400, 2000, 1500],
                            'joined' => ['m'],
                            'drain' => true,
                            'step' => 4,
                        ],
                    ],
                ],
            ],
            'penetrations' => [
                ['id' => 'pipe', 'facet' => 'face', 'rect' => [950, 600, 1010, 660], 'sealed_to' => ['sheet']],
            ],
            'fasteners' => [
                ['id' => 'f', 'facet' => 'face', 'at' => [300, 900], 'through' => ['sheet'], 'made_for' => ['sheet']],
            ],
            'framing' => [['facet' => 'face', 'rect' => [380, 0, 420, 1000]]],
            'least_laps' => [
                ['outer' => 'sheet', 'inner' => 'metal', 'horizontal_mm' => 50],
                ['outer' => 'membrane', 'inner' => 'sheet', 'end_mm' => 75],
            ],
        ],
        $change,
    );
}

function readDetail(array $detail): Apron\Detail\Detail
{
    return DetailFormat::read(Node::of($detail), new Materials([], new Catalogue));
}

it('reads a detail written by hand and writes it again', function () {
    expect(DetailWriter::write(readDetail(handWritten())))->toEqual(handWritten());
});

it('knows how an edge holds: as said of a stretch, else as said of none, and by kind', function () {
    $metal = readDetail(handWritten())->piece('metal');
    expect($metal->edges->at(Side::Top, 450))
        ->toBe(Edge::Sealed)
        ->and($metal->edges->at(Side::Top, 1200))
        ->toBeNull()
        ->and($metal->edges->at(Side::Left, 5))
        ->toBe(Edge::Adhered)
        ->and($metal->patch('m1')->edges->at(Side::Bottom, 0))
        ->toBe(Edge::Open)
        ->and($metal->patch('m2')->step)
        ->toBe(4)
        ->and($metal->patch('m1')->step)
        ->toBe(2)
        ->and(PieceKind::Metal->edge())
        ->toBe(Edge::Open)
        ->and(PieceKind::Tape->edge())
        ->toBe(Edge::Adhered)
        ->and(PieceKind::Fluid->edge())
        ->toBe(Edge::Sealed);
});

it('takes the least lap that speaks most precisely of two pieces', function (array $rows, ?float $least) {
    $detail = readDetail(handWritten(['least_laps' => $rows]));
    expect($detail->leastLap($detail->piece('sheet'), $detail->piece('metal'))?->horizontal)->toBe($least);
})->with([
    'by kinds' => [[['outer' => 'sheet', 'inner' => 'metal', 'horizontal_mm' => 40]], 40.0],
    'none of them' => [[['outer' => 'tape', 'inner' => 'metal', 'horizontal_mm' => 40]], null],
    'a piece of that name is the kind of that name too' => [
        [
            ['outer' => 'sheet', 'inner' => 'board', 'horizontal_mm' => 40],
            ['outer' => 'sheet', 'inner' => 'metal', 'horizontal_mm' => 60],
        ],
        60.0,
    ],
]);

it('refuses what hangs in the air', function (array $change, string $pointer) {
    $refused = null;
    try {
        readDetail(handWritten($change));
    } catch (FileRefused $e) {
        $refused = $e->pointer;
    }
    expect($refused)->toBe($pointer);
})->with([
    [['opening' => ['width_mm' => 1, 'height_mm' => 1, 'depth_mm' => 1, 'margin_mm' => 1]], ''],
    [['facets' => ['roof' => ['u' => [5, 5], 'v' => [0, 1]]]], '/facets/roof'],
    [['release' => 'cellar'], '/release'],
    [['folds' => [['from' => 'face', 'to' => 'cellar', 'at_v' => 0]]], '/folds/0/to'],
    [
        ['fasteners' => [['id' => 'f', 'facet' => 'face', 'at' => [1, 2], 'through' => ['nobody']]]],
        '/fasteners/0/through/0',
    ],
    [['least_laps' => [['outer' => 'nobody', 'inner' => 'sheet']]], '/least_laps/0/outer'],
    [['unit' => ['z' => [80, 0]]], '/unit/z'],
    [['unit' => ['z' => [0, 80], 'flange' => 'nobody']], '/unit/flange'],
    [['pieces' => []], '/pieces'],
]);

it('finds what two rectangles share', function () {
    $a = new Rect(0, 0, 100, 50);
    expect($a->overlap(new Rect(80, 20, 200, 200))->toArray())
        ->toBe([80.0, 20.0, 100.0, 50.0])
        ->and($a->overlap(new Rect(100, 0, 200, 50)))
        ->toBeNull()
        ->and($a->contains(new Rect(0, 0, 100, 50)))
        ->toBeTrue()
        ->and($a->contains(new Rect(-1, 0, 100, 50)))
        ->toBeFalse();
});
