<?php

declare(strict_types=1);

use Apron\Building\BuildingFormat;
use Apron\Building\Envelope;
use Apron\Json\Node;
use Apron\Project\Assessment;

/** @return list<array<string, mixed>> a wall, a roof and a slab that carry all four */
function carryingAssemblies(): array
{
    $layers = fn (string $inner): array => [
        ['id' => 'v', 'material' => 'smart-film-nylon', 'thickness_mm' => 0.2, 'controls' => ['vapour']],
        ['id' => 's', 'material' => $inner, 'thickness_mm' => 12.7],
        ['id' => 'm', 'material' => 'membrane-permeable', 'thickness_mm' => 0.6, 'controls' => ['water', 'air']],
        ['id' => 'b', 'material' => 'mineral-wool-board', 'thickness_mm' => 100, 'controls' => ['heat']],
    ];

    return [
        ['id' => 'w1', 'name' => 'Wall', 'kind' => 'wall', 'layers' => $layers('glass-mat-gypsum')],
        ['id' => 'r1', 'name' => 'Roof', 'kind' => 'roof', 'layers' => $layers('plywood')],
        ['id' => 'f1', 'name' => 'Slab', 'kind' => 'floor', 'layers' => $layers('osb')],
        ['id' => 'bare', 'name' => 'Bare', 'kind' => 'wall', 'layers' => [$layers('osb')[1]]],
    ];
}

/**
 * @param  array<string, mixed>  $building  beside the one block
 * @param  array<string, mixed>  $block
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function boxFile(array $building = [], array $block = [], array $more = []): array
{
    return $more + [
        'format' => 'apron-project/1',
        'project' => ['name' => 'B', 'units' => 'si'],
        'assemblies' => carryingAssemblies(),
        'building' => $building + [
            'blocks' => [
                $block + [
                    'id' => 'hall',
                    'outline' => [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
                    'base_mm' => 0,
                    'top_mm' => 3000,
                    'wall' => 'w1',
                    'roof' => 'r1',
                    'slab' => 'f1',
                ],
            ],
        ],
    ];
}

/** @return array<string, mixed> of a file, as the assessment has its building */
function builtOf(array $file): array
{
    return (new Assessment(readProject($file)))->building?->toArray() ?? [];
}

/** @return array<string, array<string, string>> states by joint and control */
function statesOf(array $file): array
{
    return array_column(builtOf($file)['joints'], 'threads', 'id');
}

/** @return array<string, mixed> what carries all four at a kind of joint */
function carrying(string $kind, array $threads = []): array
{
    $all = ['heat' => ['by' => 'foam']] + array_fill_keys(['water', 'air', 'vapour'], ['by' => 'tape']);

    return ['joint' => ['kind' => $kind], 'threads' => $threads + $all];
}

/** @return array<string, mixed> */
function windowRow(string $id, array $parameters = []): array
{
    return [
        'id' => $id,
        'title' => $id,
        'generator' => 'flanged-unit-in-self-adhered',
        'parameters' => $parameters + ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
    ];
}

function envelopeOf(stdClass $building): Envelope
{
    return new Envelope(BuildingFormat::read(Node::decoded($building)));
}

/** @return array<string, array{stdClass}> */
function buildingCases(): array
{
    $text = (string) file_get_contents(__DIR__.'/buildings.json');
    $named = [];
    foreach (json_decode($text, false, 32, JSON_THROW_ON_ERROR)->cases as $case) {
        $named[$case->name] = [$case];
    }

    return $named;
}
