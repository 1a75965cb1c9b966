<?php

declare(strict_types=1);

use Apron\Crew\FramersList;
use Apron\Drafting\FacetDetail;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Project\ForOthers;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

it('speaks of steps that there are only, each need in words of both unit systems', function () {
    $steps = CoreData::read('words/sequence')->entries();
    $words = [new Words(UnitSystem::SI), new Words(UnitSystem::US)];
    $needed = [];
    foreach (CoreData::read('framer')->get('steps')->entries() as $step => $needs) {
        expect($steps)->toHaveKey($step);
        array_push($needed, ...array_map(fn (Node $n): string => $n->id(), $needs->items(1)));
    }
    $told = [];
    foreach (Methods::all() as $method) {
        $sizes = [];
        foreach ($method->parameters() as $p) {
            if ($p['kind'] === 'size') {
                $sizes[$p['name']] = min($p['most'], max($p['least'], 900.0));
            }
        }
        if ($method instanceof FacetDetail) {
            $sizes = array_map(fn (float $mm): float => min($mm, 100.0 + $mm / 2), $sizes);
        }
        $detail = $method->make('d', 'D', $sizes, new Materials([], new Catalogue));
        foreach ($words as $in) {
            foreach (FramersList::told($detail, $in) as $row) {
                expect($row['title'].$row['reason'])->not->toContain('{');
                $told[] = $row['what'];
            }
        }
    }
    // Most are needed by the usual answers of some method.
    expect(count(array_intersect(array_unique($needed), $told)))->toBeGreaterThan(15);
});

$project = fn (array $events = []) => readProject([
    'format' => 'apron-project/1',
    'project' => ['name' => 'P', 'units' => 'us'],
    'openings' => [
        ...array_map(
            fn (string $id): array => [
                'id' => $id,
                'title' => "Window $id",
                'generator' => 'flanged-unit-in-fastened-sheet',
                'parameters' => ['width_mm' => 914.4, 'height_mm' => 1219.2, 'depth_mm' => 140],
            ],
            ['a', 'b'],
        ),
        [
            'id' => 't1',
            'title' => 'Scaffold, north side',
            'generator' => 'temporary-tie',
            'parameters' => ['diameter_mm' => 20, 'number' => 24],
        ],
    ],
    ...$events === [] ? [] : ['site' => ['events' => $events]],
]);

it('tells what two openings need alike once, and says for which', function () use ($project) {
    $others = ForOthers::of($project(), new Words(UnitSystem::US));
    $openings = array_values(array_filter($others['framer'], fn (array $row): bool => $row['what'] === 'opening'));
    expect($openings)
        ->toHaveCount(1)
        ->and($openings[0]['title'])
        ->toBe('Opening 36 in × 48 in')
        ->and($openings[0]['for'])
        ->toBe(['Window a', 'Window b'])
        ->and(array_column($others['framer'], 'what'))
        ->toContain('flange', 'tie');
});

it('keeps what goes through the plane for a while on a list until somebody has seen it closed', function () use (
    $project,
) {
    $seen = fn (array $events): array => ForOthers::of($project($events), new Words(UnitSystem::US))['temporary'][0];
    expect($seen([]))->toMatchArray(['id' => 't1', 'thing' => 'scaffold tie', 'number' => 24, 'closed' => null]);
    $visit = ['id' => 'v', 'kind' => 'visit', 'at' => '2026-05-01T10:00:00Z', 'by' => 'somebody'];
    $look = fn (string $id, bool $holds, string $at): array => [
        'id' => $id,
        'kind' => 'reading',
        'visit' => 'v',
        'at' => $at,
        'by' => 'somebody',
        'check' => 't1.ties-closed.all',
        'holds' => $holds,
    ];
    $first = $look('r1', false, '2026-05-01T10:01:00Z');
    expect($seen([$visit, $first])['closed'])
        ->toBeFalse()
        ->and($seen([$visit, $first, $look('r2', true, '2026-05-02T10:01:00Z')])['closed'])
        ->toBeTrue();
});
