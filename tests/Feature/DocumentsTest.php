<?php

declare(strict_types=1);

use App\Models\Document;
use App\Models\DrillRun;
use App\Models\Organisation;
use App\Models\Photograph;
use App\Project\ProjectArchive;
use App\Project\ProjectImport;
use App\Project\StoredProject;
use Apron\Project\ProjectFormat;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Storage;

function assemblyOf(App\Models\Project $project, string $key): Document
{
    return $project
        ->documents()
        ->where(['kind' => 'assembly', 'key' => $key])
        ->firstOrFail();
}

it('appends a revision at each save and keeps the earlier ones', function () {
    [$project, $consultant] = practice();
    $content = contentOf(assemblyOf($project, 'w1'));
    $content['name'] = 'Renamed';
    $this->actingAs($consultant)
        ->putJson("/api/projects/{$project->id}/documents/assembly/w1", ['revision' => 1, 'content' => $content])
        ->assertOk()
        ->assertJson(['revision' => 2]);
    $document = assemblyOf($project, 'w1');
    expect($document->revisions()->pluck('number')->all())
        ->toBe([1, 2])
        ->and($document->revisions()->first()->content)
        ->toContain('Reading room wall')
        ->and($document->revisions()->get()->last()->by)
        ->toBe($consultant->name);
});

it('answers a stale save with both sides and changes nothing', function () {
    [$project, $consultant] = practice();
    $content = contentOf(assemblyOf($project, 'w1'));
    $path = "/api/projects/{$project->id}/documents/assembly/w1";
    $this->actingAs($consultant)
        ->putJson($path, ['revision' => 1, 'content' => ['name' => 'First'] + $content])
        ->assertOk();
    $this->putJson($path, ['revision' => 1, 'content' => ['name' => 'Second'] + $content])
        ->assertStatus(409)
        ->assertJsonPath('theirs.content.name', 'First')
        ->assertJsonPath('yours.name', 'Second')
        ->assertJsonPath('theirs.revision', 2);
    expect(contentOf(assemblyOf($project, 'w1'))['name'])->toBe('First');
});

it('refuses a save that cannot be read, with its place, and keeps what was stored', function () {
    [$project, $consultant] = practice();
    $content = contentOf(assemblyOf($project, 'w1'));
    $content['layers'][2]['thickness_mm'] = -3;
    $this->actingAs($consultant)
        ->putJson("/api/projects/{$project->id}/documents/assembly/w1", ['revision' => 1, 'content' => $content])
        ->assertStatus(422)
        ->assertJson(['pointer' => '/assemblies/0/layers/2/thickness_mm', 'value' => '-3']);
    expect(assemblyOf($project, 'w1')->revision)->toBe(1);
});

it('copies a material of the catalogue, with its version, when it is first used', function () {
    [$project, $consultant] = practice();
    $content = contentOf(assemblyOf($project, 'w1'));
    $content['layers'][2]['material'] = 'wood-fibre-board';
    $this->actingAs($consultant)
        ->putJson("/api/projects/{$project->id}/documents/assembly/w1", ['revision' => 1, 'content' => $content])
        ->assertOk();
    $copy = contentOf(
        $project
            ->documents()
            ->where(['kind' => 'material', 'key' => 'wood-fibre-board'])
            ->firstOrFail(),
    );
    expect($copy['conductivity_w_mk'])
        ->toBe(0.045)
        ->and($copy['catalogue'])
        ->not->toBe('')
        ->and($copy['source']['kind'])
        ->toBe('from-memory');
});

it('will not take away a material that is still used', function () {
    [$project, $consultant] = practice();
    // Renamed so that the catalogue cannot stand in for it.
    $file = ProjectFormat::write(app(StoredProject::class)->open($project));
    $json = str_replace(['"clt"', '"family": "own-board"'], ['"own-board"', '"family": "clt"'], $file);
    $own = app(ProjectImport::class)->parse($json, $consultant);
    $this->actingAs($consultant)
        ->deleteJson("/api/projects/{$own->id}/documents/material/own-board", ['revision' => 1])
        ->assertStatus(422);
    expect($own->documents()->where('key', 'own-board')->exists())->toBeTrue();
});

it('assesses a draft as the command line would, without storing it', function () {
    [$project, $consultant] = practice();
    $content = contentOf(assemblyOf($project, 'w1'));
    $content['layers'][2]['thickness_mm'] = 200;
    $live = $this->actingAs($consultant)
        ->postJson("/api/projects/{$project->id}/assess", ['kind' => 'assembly', 'content' => $content])
        ->assertOk()
        ->json('assemblies.0');
    $file = json_decode($this->get("/api/projects/{$project->id}/export.json")->getContent(), true);
    $file['assemblies'] = [$content];
    $checked = json_decode(apronCheck(json_encode($file))['out'], true)['assemblies'][0];
    expect($live)
        ->toEqual($checked)
        ->and(contentOf(assemblyOf($project, 'w1'))['layers'][2]['thickness_mm'])
        ->toBe(152.4);
});

it('goes out, comes in and goes out again as the same bytes, photographs and all', function () {
    Storage::fake('files');
    [$project, $consultant, $inspector] = practice();
    $photograph = $this->actingAs($inspector)
        ->post("/api/projects/{$project->id}/photographs", [
            'photograph' => UploadedFile::fake()->image('a.jpg', 60, 40),
        ])
        ->assertCreated()
        ->json('sha256');
    $visit = json_decode($project->siteEvents()->where('kind', 'visit')->firstOrFail()->content)->id;
    $this->postJson("/api/projects/{$project->id}/site/events", [
        'events' => [
            [
                'id' => 'p1',
                'kind' => 'photograph',
                'visit' => $visit,
                'at' => '2026-10-15T08:00:00Z',
                'photographs' => [$photograph],
            ],
        ],
    ])->assertOk();
    $archive = app(ProjectArchive::class);
    $first = $archive->export($project);
    $again = $archive->import($first, $consultant);
    $second = $archive->export($again);
    expect(file_get_contents($second))
        ->toBe(file_get_contents($first))
        ->and($again->id)
        ->not->toBe($project->id)
        ->and($again->photographs()->count())
        ->toBe(1)
        ->and(DrillRun::where('project_id', $again->id)->sole()->tries)
        ->toBe(3)
        ->and($again->siteEvents()->count())
        ->toBe($project->siteEvents()->count());
    $this->flushSession();
    $json = $this->actingAs($consultant)
        ->get("/api/projects/{$again->id}/export.json")
        ->getContent();
    expect(apronCheck($json)['code'])->toBeIn([0, 1]);
});

it('refuses an import that is no project, with the place at fault', function (string $content, string $pointer) {
    [, $consultant] = practice();
    $this->actingAs($consultant)
        ->post(
            '/api/projects/import',
            ['file' => UploadedFile::fake()->createWithContent('p.json', $content)],
            ['Accept' => 'application/json'],
        )
        ->assertStatus(422)
        ->assertJson(['pointer' => $pointer]);
    expect(App\Models\Project::count())->toBe(1);
})->with([
    ['not json', ''],
    ['{"format":"apron-project/1"}', '/project'],
    ["PK\x03\x04 broken", ''],
    [
        '{"format":"apron-project/1","project":{"name":"x","units":"si"},"assemblies":[{"id":"a"}]}',
        '/assemblies/0/name',
    ],
]);

it('loads the demo once', function () {
    Storage::fake('files');
    expect([Artisan::call('apron:demo'), Artisan::call('apron:demo')])->toBe([0, 0]);
    expect(App\Models\Project::count())
        ->toBe(1)
        ->and(Organisation::count())
        ->toBe(1)
        ->and(Photograph::count())
        ->toBe(2);
});
