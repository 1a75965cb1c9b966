<?php

declare(strict_types=1);

beforeEach(function () {
    [$this->project, $this->consultant] = practice();
    $this->actingAs($this->consultant);
    $this->path = "/api/projects/{$this->project->id}";
    $this->key = 'year.over.interface@assemblies/w2';
    $this->told = fn (): array => collect($this->getJson("{$this->path}/assessment")->json('findings'))
        ->firstWhere('key', $this->key);
});

it('takes on a finding with a reason, in the name of whoever is signed in, and shows it so', function () {
    expect(($this->told)()['accepted'])->toBeNull();
    $saved = $this->postJson("{$this->path}/acceptances", [
        'key' => $this->key,
        'reason' => ' The stacks are dried mechanically. ',
        'by' => 'Somebody Else',
    ])
        ->assertOk()
        ->json('content');
    expect($saved['by'])
        ->toBe($this->consultant->name)
        ->and($saved['reason'])
        ->toBe('The stacks are dried mechanically.')
        ->and(($this->told)()['accepted'])
        ->toMatchArray(['by' => $this->consultant->name, 'changed' => false])
        // Never hidden, and a fail still.
        ->and(($this->told)()['severity'])
        ->toBe('fail');
    $wall = contentOf(
        $this->project
            ->documents()
            ->where(['kind' => 'assembly', 'key' => 'w2'])
            ->firstOrFail(),
    );
    $draft = fn (array $content): array => collect(
        $this->postJson("{$this->path}/assess", ['kind' => 'assembly', 'content' => $content])->json('findings'),
    )->firstWhere('key', $this->key);
    expect($draft($wall)['accepted']['changed'])->toBeFalse();
    // A wall that has become another is open again.
    $wall['layers'][4]['thickness_mm'] = 50;
    expect($draft($wall)['accepted']['changed'])->toBeTrue();
    $this->putJson("{$this->path}/documents/assembly/w2", ['revision' => 1, 'content' => $wall])->assertOk();
    expect(($this->told)()['accepted'])
        ->toMatchArray(['changed' => true, 'reason' => 'The stacks are dried mechanically.']);
    // Taken on again as it stands now, it is a second revision of the one acceptance.
    $again = $this->postJson("{$this->path}/acceptances", ['key' => $this->key, 'reason' => 'Still so.'])
        ->assertOk()
        ->json();
    expect($again['revision'])
        ->toBe(2)
        ->and(($this->told)()['accepted'])
        ->toMatchArray(['changed' => false, 'reason' => 'Still so.']);
    // And taken back.
    $this->deleteJson("{$this->path}/documents/acceptance/{$again['key']}", ['revision' => 2])->assertNoContent();
    expect(($this->told)()['accepted'])->toBeNull();
});

it('refuses to accept without a reason, what is gone, and what asks for nothing', function (array $sent, int $status) {
    $this->postJson("{$this->path}/acceptances", $sent)->assertStatus($status);
    expect(
        $this->project
            ->documents()
            ->where('kind', 'acceptance')
            ->count(),
    )->toBe(0);
})->with([
    'no reason' => [['key' => 'year.over.interface@assemblies/w2'], 422],
    'a reason of blanks' => [['key' => 'year.over.interface@assemblies/w2', 'reason' => "  \n"], 422],
    'gone' => [['key' => 'year.over.interface@assemblies/w9', 'reason' => 'so'], 404],
    'a pass' => [['key' => 'year.dry@assemblies/w1', 'reason' => 'so'], 422],
]);

it('lets nobody write an acceptance in another name', function () {
    $id = Apron\Acceptance\Acceptance::idOf($this->key);
    $forged = [
        'id' => $id,
        'key' => $this->key,
        'reason' => 'so',
        'by' => 'Somebody Else',
        'at' => '2026-01-01T00:00:00Z',
        'stamp' => 'x',
    ];
    $this->putJson("{$this->path}/documents/acceptance/$id", ['revision' => 0, 'content' => $forged])
        ->assertUnprocessable();
});

it('takes what was accepted out with the project and in again', function () {
    $this->postJson("{$this->path}/acceptances", ['key' => $this->key, 'reason' => 'so'])->assertOk();
    $file = $this->getJson("{$this->path}/export.json")->json();
    expect($file['acceptances'])
        ->toHaveCount(1)
        ->and($file['acceptances'][0]['key'])
        ->toBe($this->key);
    $core = readProject($file);
    $told = (new Apron\Project\Assessment($core))->toArray(
        new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI),
    );
    expect(collect($told['findings'])->firstWhere('key', $this->key)['accepted'])->toMatchArray(['changed' => false]);
});
