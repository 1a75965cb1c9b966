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
        ->assertJson(['wet_mm' => 1.0, 'coats' => 1, 'packs' => 6]);
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

it('keeps what was pulled off a face, settles every place of the project by it, and lets go of it again', function () {
    $verdict = function (): array {
        $rows = array_column($this->getJson("{$this->path}/contacts")->json('contacts'), null, 'id');

        return [
            $rows['membrane-sbs.bonded.glass-mat-gypsum.dry']['verdict'],
            count(
                array_filter(
                    $this->getJson("{$this->path}/assessment")->json('findings'),
                    fn (array $f): bool => $f['code'] === 'contact.no-bond',
                ),
            ),
        ];
    };
    expect($verdict())->toBe(['prime first', 0]);
    $pull = ['at' => '2026-05-01', 'by' => 'A. Inspector', 'mode' => 'adhesive'];
    $test = ['id' => 'pull1', 'product' => 'membrane-sbs', 'on' => 'glass-mat-gypsum', 'pulls' => [$pull]];
    $saved = $this->putJson("{$this->path}/documents/adhesion/pull1", ['revision' => 0, 'content' => $test]);
    $saved->assertOk();
    [$said, $fails] = $verdict();
    expect($said)->toBe('no bond')->and($fails)->toBeGreaterThan(0);
    // Primed, and pulled again.
    $test['pulls'][] = ['at' => '2026-05-09', 'mode' => 'cohesive'] + $pull;
    $this->putJson("{$this->path}/documents/adhesion/pull1", ['revision' => 1, 'content' => $test])->assertOk();
    expect($verdict())->toBe(['bonds', 0]);
    $this->deleteJson("{$this->path}/documents/adhesion/pull1", ['revision' => 2])->assertNoContent();
    expect($verdict())->toBe(['prime first', 0]);
    $test['pulls'][0]['at'] = 'in May';
    $this->putJson("{$this->path}/documents/adhesion/pull1", ['revision' => 3, 'content' => $test])
        ->assertUnprocessable()
        ->assertSee('2026-05-01');
});

it('says what a remedy would touch besides, and where a piece wants something on its drawing', function () {
    $rows = array_column($this->getJson("{$this->path}/contacts")->json('contacts'), null, 'id');
    $clears = array_merge(...array_values(array_column($rows, 'clears')));
    expect($clears)->not->toBe([]);
    foreach ($rows as $row) {
        foreach ($row['clears'] as $remedy) {
            expect(count($remedy['worse']))->toBeLessThanOrEqual($remedy['beside']);
        }
        // What is only asked about is nowhere.
        expect($row['where'] === [])->toBe(str_starts_with($row['places'][0], 'asked/'), $row['id']);
    }
    $sheet = $this->getJson("{$this->path}/sequences/d4")->assertOk()->json();
    expect($sheet['touches'])->not->toBe([]);
    foreach ($sheet['touches'] as $mark) {
        expect($rows)
            ->toHaveKey($mark['contact'])
            ->and($rows[$mark['contact']]['severity'])
            ->toBe($mark['severity'])
            ->and(array_column($sheet['detail']['pieces'], 'id'))
            ->toContain($mark['piece']);
    }
});

it('says how a product is laid, and which of it is the usual of its family', function () {
    $laid = $this->getJson("{$this->path}/materials/membrane-sbs/laid")->assertOk()->json();
    expect($laid['sticks'])
        ->toBe('sbs')
        ->and($laid['stated'])
        ->toBe([])
        ->and($laid['product'])
        ->toHaveKeys(['application_c', 'sun_days', 'nail_seal', 'storage']);
    $own = [
        'id' => 'own-1',
        'name' => 'Own membrane',
        'family' => 'sbs',
        'sticks' => 'sbs',
        'conductivity_w_mk' => 0.2,
        'sd_m' => 100,
        'product' => ['application_c' => [-4, 40]],
        'source' => ['kind' => 'data-sheet', 'name' => 'Sheet 1', 'date' => '2026-03'],
    ];
    $this->putJson("{$this->path}/documents/material/own-1", ['revision' => 0, 'content' => $own])->assertOk();
    $laid = $this->getJson("{$this->path}/materials/own-1/laid")->assertOk()->json();
    expect($laid['stated'])->toBe(['application_c'])->and($laid['product']['application_c'])->toBe([-4, 40]);
    $this->getJson("{$this->path}/materials/nothing/laid")->assertNotFound();
});

it('takes in what was used instead, and judges it for its place alone', function () {
    $send = fn (array $event) => $this->postJson("{$this->path}/site/events", ['events' => [$event]]);
    $before = count($this->getJson("{$this->path}/assessment")->json('findings'));
    $send(['id' => 'vx', 'kind' => 'visit', 'at' => '2026-06-01T08:00:00Z', 'by' => 'x'])->assertOk();
    $event = [
        'id' => 'ex',
        'kind' => 'substitution',
        'visit' => 'vx',
        'at' => '2026-06-01T09:00:00Z',
        'by' => 'x',
        'place' => 'details/d4/pieces/strip',
        'material' => 'seam-tape-butyl',
        'words' => 'The strip had run out.',
    ];
    $send(['place' => 'd4'] + $event)->assertUnprocessable()->assertSee('a layer or a piece');
    $pieces = $this->getJson("{$this->path}/sequences/d4")->json('detail.pieces');
    $event['place'] = "details/d4/pieces/{$pieces[1]['id']}";
    $send($event)->assertOk();
    $told = $this->getJson("{$this->path}/site")->assertOk()->json('substitutions');
    expect($told)
        ->toHaveCount(1)
        ->and($told[0]['event']['place'])
        ->toBe($event['place'])
        ->and($told[0]['reason'])
        ->toContain('The strip had run out.');
    $findings = $this->getJson("{$this->path}/assessment")->json('findings');
    $of = array_column($findings, null, 'subject');
    expect(count($findings))
        ->toBe($before + 1)
        ->and($of['site/substitutions/ex']['severity'])
        ->toBe($told[0]['severity']);
    $file = $this->getJson("{$this->path}/export.json")->json();
    expect(array_column($file['site']['events'], 'id'))->toContain('ex');
});
