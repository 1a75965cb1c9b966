<?php

declare(strict_types=1);

beforeEach(function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/$project->id";
});

/** @return array<string, mixed> lines of the order by material, of those laid out */
function orderLines($test): array
{
    $told = $test->getJson("{$test->path}/assessment")->assertOk()->json();

    return array_column(
        array_filter($told['quantities'], fn (array $q): bool => $q['why']['rule'] === 'laid-out'),
        null,
        'material',
    );
}

it('gives the order as CSV, as many lines as the assessment has', function () {
    $told = $this->getJson("{$this->path}/assessment")->assertOk()->json('quantities');
    $csv = $this->get("{$this->path}/order.csv")->assertOk()->getContent();
    $rows = array_map(
        fn (string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim(substr($csv, 3))),
    );
    expect(substr($csv, 0, 3))
        ->toBe("\u{FEFF}")
        ->and(count($rows))
        ->toBe(count($told) + 1)
        ->and(array_sum(array_map(intval(...), array_column($rows, 2))))
        ->toBe(array_sum(array_column(array_column($told, 'order'), 'count')));
});

it('gives what goes into each part, floor by floor, and all of it', function () {
    $told = $this->getJson("{$this->path}/assessment")->assertOk()->json();
    $csv = $this->get("{$this->path}/order.csv?by=part")->assertOk()->getContent();
    $rows = array_map(
        fn (string $line): array => str_getcsv($line, ',', '"', ''),
        array_slice(explode("\n", trim(substr($csv, 3))), 1),
    );
    $ofWool = fn (array $rows, int $key): array => array_filter(
        $rows,
        fn (array $r): bool => $r[$key] === 'mineral-wool-board',
    );
    $gross = array_sum(array_column($ofWool($rows, 3), 4));
    $line = array_values(
        array_filter($told['quantities'], fn (array $q): bool => $q['material'] === 'mineral-wool-board'),
    );
    expect($gross)->toEqualWithDelta(array_sum(array_column($line, 'gross')), 0.05);
    $this->getJson("{$this->path}/order.csv?by=colour")->assertStatus(422);
});

it('reckons anew what stands on a building, a wall or an opening that has changed', function () {
    $before = orderLines($this);
    $change = function (string $list, string $kind, string $key, Closure $with): void {
        $document = array_column($this->getJson($this->path)->json($list), null, 'key')[$key];
        $this->putJson("{$this->path}/documents/$kind/$key", [
            'revision' => $document['revision'],
            'content' => $with($document['content']),
        ])->assertOk();
    };
    $change('building', 'building', 'building', function (array $building): array {
        $building['blocks'][0]['top_mm'] = 9400;

        return $building;
    });
    $higher = orderLines($this);
    expect($higher['mineral-wool-board']['net'])->toBeGreaterThan($before['mineral-wool-board']['net'] + 50);
    $change('openings', 'opening', 'o11', function (array $opening): array {
        $opening['parameters']['width_mm'] = 1600;

        return $opening;
    });
    $wider = orderLines($this);
    // A metre more of window, 2.4 m high.
    expect($higher['mineral-wool-board']['net'] - $wider['mineral-wool-board']['net'])->toEqualWithDelta(2.4, 1e-6);
    $change('assemblies', 'assembly', 'w1', function (array $wall): array {
        $wall['layers'][2]['material'] = 'xps';

        return $wall;
    });
    expect(orderLines($this)['mineral-wool-board']['net'])->toBeLessThan($wider['mineral-wool-board']['net'] - 50);
});

it('refuses what cannot be bought, with its place, and keeps what stood there', function () {
    $document = $this->getJson($this->path)->json('takeoff.0');
    $this->putJson("{$this->path}/documents/takeoff/takeoff", [
        'revision' => $document['revision'],
        'content' => ['layers' => [['assembly' => 'w1', 'layer' => 'l2', 'roll_m' => [0, 20]]]],
    ])->assertStatus(422)->assertJsonFragment(['pointer' => '/takeoff/layers/0/roll_m/0']);
    expect($this->getJson($this->path)->json('takeoff.0.content'))->toBe($document['content']);
});
