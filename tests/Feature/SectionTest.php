<?php

declare(strict_types=1);

use Apron\Project\Sections;

require_once __DIR__.'/../NotesSection.php';

// A section that only this test knows: it is stored, shown, assessed, kept, removed and exported without a line for it
// anywhere.
beforeEach(function () {
    $this->described = false;
    app()->instance(Sections::class, Sections::usual()->with(new NotesSection));
    [$this->project, $this->consultant] = practice();
    $this->actingAs($this->consultant);
    $this->path = "/api/projects/{$this->project->id}";
    $this->note = ['id' => 'n1', 'says' => 'Who owns the gutter?'];
    $this->putJson("{$this->path}/documents/note/n1", ['revision' => 0, 'content' => $this->note])
        ->assertOk()
        ->assertJsonPath('kind', 'note');
});

it('stores a document of a section that is registered, shows it and says what there is to say', function () {
    expect($this->getJson($this->path)->json('notes.0.content'))->toBe($this->note);
    $said = fn () => $this->getJson("{$this->path}/assessment?paths=none")
        ->assertOk()
        ->json();
    expect($said()['notes'])
        ->toBe([['id' => 'n1', 'asks' => true]])
        ->and(array_column($said()['findings'], 'subject'))
        ->toContain('notes/n1');
    $this->putJson("{$this->path}/documents/note/n1", [
        'revision' => 1,
        'content' => ['says' => 'The owner of the barn.'] + $this->note,
    ])->assertOk();
    expect($said()['notes'])
        ->toBe([['id' => 'n1', 'asks' => false]])
        ->and(array_column($said()['findings'], 'subject'))
        ->not->toContain('notes/n1');
});

it('assesses a draft of it, refuses a bad one at its place, and a stale one', function () {
    $this->postJson("{$this->path}/assess", ['kind' => 'note', 'content' => $this->note])
        ->assertOk()
        ->assertJsonPath('notes.0.asks', true);
    $this->putJson("{$this->path}/documents/note/n1", ['revision' => 1, 'content' => ['id' => 'n1']])
        ->assertUnprocessable()
        ->assertJsonPath('pointer', '/notes/0/says');
    $this->putJson("{$this->path}/documents/note/n1", ['revision' => 0, 'content' => $this->note])->assertConflict();
    $this->putJson("{$this->path}/documents/letter/n1", ['revision' => 0, 'content' => $this->note])->assertNotFound();
});

it('keeps its revisions, brings it back, and writes it into the file that is read again', function () {
    $this->deleteJson("{$this->path}/documents/note/n1", ['revision' => 1])->assertNoContent();
    expect($this->getJson($this->path)->json('notes'))
        ->toBe([])
        ->and($this->getJson("{$this->path}/removed")->json('0.kind'))
        ->toBe('note');
    $this->putJson("{$this->path}/documents/note/n1", ['revision' => 2, 'content' => $this->note])->assertOk();
    expect($this->getJson("{$this->path}/documents/note/n1/revisions")->json())->toHaveCount(3);
    $file = $this->get("{$this->path}/export.json")->getContent();
    expect(json_decode($file, true)['notes'])->toBe([$this->note]);
    $bytes = tap(tempnam(sys_get_temp_dir(), 'apron'), fn (string $path) => file_put_contents($path, $file));
    $id = $this->post('/api/projects/import', [
        'file' => new Illuminate\Http\UploadedFile($bytes, 'p.json', null, null, true),
    ])
        ->assertCreated()
        ->json('id');
    expect($this->get("/api/projects/$id/export.json")->getContent())->toBe($file);
});
