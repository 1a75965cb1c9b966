<?php

declare(strict_types=1);

beforeEach(function () {
    [$this->project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/{$this->project->id}";
});

it('tells every pair of the demo that touches, worst first, with its places', function () {
    $rows = $this->getJson("{$this->path}/contacts")->assertOk()->json('contacts');
    $ranks = array_map(
        fn (array $row): int => array_search($row['severity'], ['fail', 'caution', 'note', 'pass'], true),
        $rows,
    );
    expect($ranks)->toBe(array_values(collect($ranks)->sort()->all()))->and(count($rows))->toBeGreaterThan(30);
    $byId = array_column($rows, null, 'id');
    expect($byId['asked.q3']['verdict'])
        ->toBe('attacks')
        ->and($byId['membrane-sbs.bonded.glass-mat-gypsum.dry']['where'][0]['title'])
        ->toBe('Stack wall, steel stud');
    // In the cold more of them cannot be laid.
    $fails = fn (string $query): int => count(
        array_filter(
            $this->getJson("{$this->path}/contacts$query")->json('contacts'),
            fn (array $row): bool => $row['severity'] === 'fail',
        ),
    );
    expect($fails('?month=1'))->toBeGreaterThan($fails(''));
    $this->getJson("{$this->path}/contacts?month=13")->assertUnprocessable();
});

it('answers a pair that is asked about, keeps it, and refuses a material that is none at its place', function () {
    $asked = ['id' => 'q9', 'a' => 'seam-tape', 'b' => 'concrete', 'how' => 'bonded'];
    $answer = $this->postJson("{$this->path}/contacts/ask", ['content' => $asked])->assertOk()->json();
    expect($answer['verdict'])->toBe('prime first')->and($answer['clears'][0]['kind'])->toBe('primer');
    $frost = $this->postJson("{$this->path}/contacts/ask", ['content' => $asked + ['frost' => true]])->json();
    expect($frost['rule'])->toBe('condition.frost');
    $this->postJson("{$this->path}/contacts/ask", ['content' => ['a' => 'nothing'] + $asked])
        ->assertUnprocessable()
        ->assertSee('materials');
    $this->postJson("{$this->path}/contacts/ask", ['content' => 'x'])->assertUnprocessable();

    $this->putJson("{$this->path}/documents/asked/q9", ['revision' => 0, 'content' => $asked])->assertOk();
    expect(array_column($this->getJson("{$this->path}/contacts")->json('contacts'), 'id'))->toContain('asked.q9');
    $file = $this->getJson("{$this->path}/export.json")->json();
    expect(array_column($file['asked'], 'id'))->toContain('q9');
});

it('gives the schedule as CSV, and the list for others on site', function () {
    $csv = $this->get("{$this->path}/contacts.csv")->assertOk();
    expect($csv->headers->get('Content-Type'))
        ->toStartWith('text/csv')
        ->and($csv->getContent())
        ->toStartWith('severity,verdict,a,how,b');
    $others = $this->getJson("{$this->path}/others")->assertOk()->json();
    expect(array_column($others['framer'], 'what'))
        ->toContain('opening', 'straps')
        ->and($others['temporary'])
        ->toBe([]);
    $tie = [
        'id' => 't1',
        'title' => 'Scaffold, lake side',
        'generator' => 'temporary-tie',
        'parameters' => ['diameter_mm' => 20, 'number' => 12],
        'between' => ['w1'],
    ];
    $this->putJson("{$this->path}/documents/opening/t1", ['revision' => 0, 'content' => $tie])->assertOk();
    expect($this->getJson("{$this->path}/others")->json('temporary.0'))->toMatchArray([
        'id' => 't1',
        'number' => 12,
        'walls' => ['Reading room wall, cross-laminated timber'],
        'closed' => null,
    ]);
});

it('works out a film, and refuses one of what is no coat', function () {
    $film = ['material' => 'fluid-permeable', 'dry_mm' => 0.5, 'area_m2' => 90, 'on' => 'smooth'];
    $this->postJson("{$this->path}/film", $film)
        ->assertOk()
        ->assertJson(['wet_mm' => 1.0, 'coats' => 1, 'packs' => null]);
    $this->postJson("{$this->path}/film", ['material' => 'plywood'] + $film)
        ->assertUnprocessable()
        ->assertSee('no coat');
    $this->postJson("{$this->path}/film", ['dry_mm' => 0] + $film)->assertUnprocessable();
});

it('judges all that touches anew when a system is named', function () {
    $strange = fn (): int => count(
        array_filter(
            $this->getJson("{$this->path}/assessment?paths=none")->json('findings'),
            fn (array $f): bool => $f['code'] === 'contact.stranger',
        ),
    );
    expect($strange())->toBe(0);
    $system = ['id' => 's1', 'name' => 'Wrap', 'by' => 'its maker', 'products' => ['polyolefin-wrap']];
    $this->putJson("{$this->path}/documents/system/s1", ['revision' => 0, 'content' => $system])->assertOk();
    expect($strange())->toBeGreaterThan(0);
});
