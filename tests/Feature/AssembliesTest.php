<?php

declare(strict_types=1);

use Apron\Climate\GenericClimates;
use Apron\Climate\HourlyYear;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    [$this->project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/{$this->project->id}";
    $this->wall = contentOf(
        $this->project
            ->documents()
            ->where(['kind' => 'assembly', 'key' => 'w2'])
            ->firstOrFail(),
    );
});

it('answers what would clear a finding of a draft, and what it offers can be saved and clears it', function () {
    $key = 'year.over.interface@assemblies/w2';
    $answer = $this->postJson("{$this->path}/cures", ['content' => $this->wall, 'key' => $key, 'units' => 'us'])
        ->assertOk()
        ->json();
    expect($answer['measure'])
        ->toMatchArray(['figure' => 'borne_g_m2', 'limit' => 127, 'above' => false])
        ->and($answer['measure']['limit_shown'])
        ->toContain('oz/ft²');
    $cure = collect($answer['cures'])->firstWhere('kind', 'retarder');
    expect($cure['content']['layers'])->toHaveCount(8);
    $this->putJson("{$this->path}/documents/assembly/w2", ['revision' => 1, 'content' => $cure['content']])->assertOk();
    $severities = array_column($this->getJson("{$this->path}/assessment")->json('findings'), 'severity', 'key');
    expect($severities[$key] ?? 'note')
        ->toBe('note')
        // The retarder was of the library and is now the project's own, with the library's version.
        ->and(
            $this->project
                ->documents()
                ->where(['kind' => 'material'])
                ->get()
                ->map(contentOf(...))
                ->firstWhere('name', 'Variable film, sd 0.25 to 25 m')['catalogue'],
        )
        ->not->toBe('');
});

it('says that a finding is gone, and refuses a draft it cannot read', function () {
    $this->postJson("{$this->path}/cures", [
        'content' => $this->wall,
        'key' => 'surface.mould@assemblies/w2',
    ])->assertNotFound();
    $this->wall['layers'][0]['thickness_mm'] = -1;
    $this->postJson("{$this->path}/cures", ['content' => $this->wall, 'key' => 'x'])
        ->assertUnprocessable()
        ->assertJson(['pointer' => '/assemblies/0/layers/0/thickness_mm']);
    $this->postJson("{$this->path}/sweep", [
        'content' => demoFile()['assemblies'][0],
        'layer' => 'none',
    ])->assertUnprocessable();
});

it('sweeps over the project’s own climate first, then the other generic ones', function () {
    $rows = $this->postJson("{$this->path}/sweep", ['content' => $this->wall, 'layer' => 'l5'])
        ->assertOk()
        ->json();
    expect($rows)
        ->toHaveCount(7)
        ->and($rows[0]['climate'])
        ->toBe('cold continental (made up)')
        ->and($rows[0]['points'])
        ->toHaveCount(13);
});

it('lists the worked examples with their verdicts, in the units asked for', function () {
    $rows = $this->getJson('/api/examples?units=us')->assertOk()->json();
    expect(count($rows))
        ->toBeGreaterThan(20)
        ->and(collect($rows)->firstWhere('id', 'pool-roof-light'))
        ->toMatchArray(['year' => 'accumulates', 'worst' => 'fail']);
    $this->putJson("{$this->path}/documents/assembly/stucco-direct", [
        'revision' => 0,
        'content' => collect($rows)->firstWhere('id', 'stucco-direct')['assembly'],
    ])->assertOk();
});

it('reads a table of months, and refuses a damaged weather file with its line', function () {
    $table = implode("\n", array_map(fn (int $m) => "$m,".(-10 + 2 * $m).',70,60', range(1, 12)));
    $answer = $this->post(
        "{$this->path}/climate",
        ['file' => UploadedFile::fake()->createWithContent('Our valley.csv', $table)],
        ['Accept' => 'application/json'],
    )
        ->assertOk()
        ->json();
    expect($answer['climate']['name'])
        ->toBe('Our valley')
        ->and($answer['climate']['months'][11])
        ->toMatchArray(['mean_c' => 14, 'rh_pct' => 70, 'rain_mm' => 60])
        ->and($answer['hours'])
        ->toBe(0);
    $this->post(
        "{$this->path}/climate",
        ['file' => UploadedFile::fake()->createWithContent('broken.epw', "LOCATION,x\nnonsense")],
        ['Accept' => 'application/json'],
    )
        ->assertUnprocessable()
        ->assertJson(['line' => 2])
        ->assertJsonFragment(['message' => 'Line 2: “nonsense”; expected a line that begins with DESIGN CONDITIONS.']);
});

it('hands out a year of hours made from the project’s months', function () {
    $response = $this->get("{$this->path}/hours.csv?seed=5")->assertOk();
    $lines = explode("\n", trim($response->getContent()));
    expect($lines)
        ->toHaveCount(8762)
        ->and($lines[0])
        ->toContain('seed 5')
        ->and($response->headers->get('Content-Type'))
        ->toContain('text/csv');
    $first = HourlyYear::synthesise((new GenericClimates)->named('cold continental (made up)'), 5)->hours[0];
    expect(explode(',', $lines[2])[1])->toBe((string) round($first->celsius, 2));
});

it('keeps a material of one’s own from its data sheet, and refuses one without a figure for vapour', function () {
    $own = [
        'id' => 'our-board',
        'name' => 'Our board',
        'family' => 'xps',
        'conductivity_w_mk' => 0.03,
        'permeance_ng_pa_s_m2' => 60,
        'source' => ['kind' => 'data-sheet', 'name' => 'Sheet 12', 'date' => '2026-03'],
    ];
    $this->putJson("{$this->path}/documents/material/our-board", ['revision' => 0, 'content' => $own])->assertOk();
    expect(collect($this->getJson("{$this->path}/materials")->json())->firstWhere('id', 'our-board'))
        ->toEqual($own)
        ->and(collect($this->getJson($this->path)->json('materials'))->pluck('key'))
        ->toContain('our-board');
    $this->putJson("{$this->path}/documents/material/our-board", [
        'revision' => 1,
        'content' => array_diff_key($own, ['permeance_ng_pa_s_m2' => 1]),
    ])
        ->assertUnprocessable()
        ->assertJsonFragment(['pointer' => '/materials/0']);
    $this->deleteJson("{$this->path}/documents/material/our-board", ['revision' => 1])->assertNoContent();
});
