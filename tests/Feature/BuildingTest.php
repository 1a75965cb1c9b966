<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

beforeEach(function () {
    [$this->project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/{$this->project->id}";
    // The demo may have one already: it is begun anew.
    $this->revision = $this->getJson($this->path)->json('building.0.revision') ?? 0;
});

/** @return array<string, mixed> */
function hallOf(array $more = [], array $block = []): array
{
    return $more + [
        'blocks' => [
            $block + [
                'id' => 'hall',
                'outline' => [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
                'base_mm' => 0,
                'top_mm' => 3000,
                'wall' => 'w1',
                'roof' => 'r1',
            ],
        ],
    ];
}

it('keeps a building, derives it, and follows a change of what stands in it', function () {
    $put = fn (array $content, int $revision) => $this->putJson("{$this->path}/documents/building/building", [
        'revision' => $revision,
        'content' => $content,
    ]);
    $built = fn (): ?array => $this->getJson("{$this->path}/assessment?paths=none")->assertOk()->json('building');
    $put(hallOf(), $this->revision)->assertOk();
    expect($built()['volume_m3'])->toEqual(288)->and(count($built()['parts']))->toBe(6);
    $placed = [['opening' => 'o11', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 600]];
    $put(hallOf(['placed' => $placed]), $this->revision + 1)->assertOk();
    $of = fn (): array => array_column($built()['parts'], null, 'id')['hall.opening.o11'];
    $before = $of()['gross_m2'];
    // The opening is made wider: the building that it stands in follows.
    $row = collect($this->getJson($this->path)->json('openings'))->firstWhere('key', 'o11');
    $row['content']['parameters']['width_mm'] += 100;
    $this->putJson("{$this->path}/documents/opening/o11", [
        'revision' => $row['revision'],
        'content' => $row['content'],
    ])->assertOk();
    expect($of()['gross_m2'])->toBeGreaterThan($before);
    $file = $this->getJson("{$this->path}/export.json")->json();
    expect($file['building']['placed'])->toBe($placed);
    // Both ways of asking say the same of it.
    expect($this->getJson("{$this->path}/assessment?paths=all")->json('building'))->toEqual($built());
});

it('keeps the building when an opening outgrows its wall, and says which', function () {
    $placed = [['opening' => 'o11', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 500]];
    $this->putJson("{$this->path}/documents/building/building", [
        'revision' => $this->revision,
        'content' => hallOf(['placed' => $placed]),
    ])->assertOk();
    $row = collect($this->getJson($this->path)->json('openings'))->firstWhere('key', 'o11');
    $row['content']['parameters']['height_mm'] = 2900;
    $this->putJson("{$this->path}/documents/opening/o11", [
        'revision' => $row['revision'],
        'content' => $row['content'],
    ])->assertOk();
    $said = $this->getJson("{$this->path}/assessment?paths=none")->assertOk()->json();
    expect(array_column($said['findings'], 'code'))
        ->toContain('building.cannot-place')
        ->and($said['building']['volume_m3'])
        ->toEqual(288)
        ->and(array_column($said['building']['parts'], 'kind'))
        ->not->toContain('opening');
});

it('refuses a building that cannot be built, says where, and keeps the one before', function () {
    $put = fn (array $content, int $revision) => $this->putJson("{$this->path}/documents/building/building", [
        'revision' => $revision,
        'content' => $content,
    ]);
    $put(hallOf(), $this->revision)->assertOk();
    $put(hallOf([], ['top_mm' => 0]), $this->revision + 1)->assertUnprocessable()->assertSee('top_mm');
    $put(hallOf([], ['outline' => [[0, 0], [9, 9], [9, 0], [0, 9]]]), $this->revision + 1)->assertUnprocessable();
    $wrong = [['opening' => 'o4', 'block' => 'hall', 'edge' => 0, 'x_mm' => 11900, 'z_mm' => 600]];
    $put(hallOf(['placed' => $wrong]), $this->revision + 1)->assertUnprocessable()->assertSee('placed');
    expect($this->getJson("{$this->path}/assessment?paths=none")->json('building.volume_m3'))->toEqual(288);
    $this->deleteJson("{$this->path}/documents/building/building", ['revision' => $this->revision + 1])
        ->assertNoContent();
    expect($this->getJson($this->path)->json('building'))->toBe([]);
});

it('has the areas on plan that the database finds with its own polygons', function () {
    $outlines = [
        'L' => [[0, 0], [12000, 0], [12000, 4000], [6000, 4000], [6000, 10000], [0, 10000]],
        'odd' => [[0, 0], [9000, 1500], [11000, 7000], [5000, 9500], [-2000, 6000]],
        'U' => [[0, 0], [12000, 0], [12000, 8000], [8000, 8000], [8000, 3000], [4000, 3000], [4000, 8000], [0, 8000]],
    ];
    foreach ($outlines as $name => $outline) {
        $this->putJson("{$this->path}/documents/building/building", [
            'revision' => $this->revision++,
            'content' => hallOf([], ['outline' => $outline]),
        ])->assertOk();
        $ring = implode(', ', array_map(fn (array $c): string => "$c[0] $c[1]", [...$outline, $outline[0]]));
        $mm2 = DB::selectOne('select st_area(st_geomfromtext(?)) as a', ["POLYGON(($ring))"])->a;
        $parts = array_column(
            $this->getJson("{$this->path}/assessment?paths=none")->json('building.parts'),
            'gross_m2',
            'id',
        );
        expect($parts['hall.roof'])->toEqualWithDelta($mm2 / 1e6, 1e-3, $name);
    }
});
