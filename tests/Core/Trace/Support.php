<?php

declare(strict_types=1);

use Apron\Detail\DetailFormat;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Trace\DetailAssessment;

/** @param  list<array<mixed>>  $patches  [facet, rect, more] */
function piece(string $id, string $kind, int $step, array $patches, array $more = []): array
{
    $rows = [];
    foreach ($patches as $i => [$facet, $rect]) {
        $rows[] = ['id' => "$id.$i", 'facet' => $facet, 'rect' => $rect] + ($patches[$i][2] ?? []);
    }
    $material =
        [
            'sheet' => 'polyolefin-wrap',
            'metal' => 'steel-galvanised',
            'unit' => 'window-unit',
            'sealant' => 'sealant-silyl',
            'board' => 'polyiso-foil',
            'fluid' => 'fluid-permeable',
            'tape' => 'seam-tape',
        ][$kind] ?? 'membrane-sbs';

    return $more + ['id' => $id, 'material' => $material, 'kind' => $kind, 'step' => $step, 'patches' => $rows];
}

/** A piece of one patch on the face. */
function one(string $id, string $kind, int $step, array $rect, array $more = [], array $patch = []): array
{
    return piece($id, $kind, $step, [['face', $rect, $patch]], $more);
}

function wallDetail(array $pieces, array $more = []): array
{
    return [
        'id' => 'd',
        'title' => 'case',
        'facets' => ['face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
        'release' => 'face',
        'pieces' => $pieces,
    ] + $more;
}

/** A roof slope of 500 that ends over a wall of 1000. */
function roofDetail(array $pieces): array
{
    return [
        'id' => 'd',
        'title' => 'case',
        'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]],
        'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 1000]],
        'release' => 'roof',
        'pieces' => $pieces,
    ];
}

function openingDetail(array $pieces, array $opening = [], array $more = []): array
{
    return [
        'id' => 'd',
        'title' => 'case',
        'opening' => $opening + [
            'width_mm' => 1000,
            'height_mm' => 1000,
            'depth_mm' => 140,
            'margin_mm' => 500,
            'sill_pitch' => 'out',
            'sill_fall_mm' => 10,
            'back_dam_mm' => 25,
            'head_of_water_mm' => 31,
        ],
        'pieces' => $pieces,
    ] + $more;
}

function traced(array $detail): DetailAssessment
{
    return new DetailAssessment(DetailFormat::read(Node::of($detail), new Materials([], new Catalogue)));
}

/** The strip of a source that a place lies in. */
function stripAt(array $shape, string $source, ?string $facet, float $u): ?array
{
    foreach ($shape['strips'] as $strip) {
        if (
            $strip['source'] === $source &&
            ($facet === null || $strip['facet'] === $facet) &&
            $strip['u'][0] <= $u &&
            $strip['u'][1] >= $u
        ) {
            return $strip;
        }
    }

    return null;
}
