<?php

declare(strict_types=1);

use Apron\Method\Methods;

beforeEach(function () {
    [$this->project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/{$this->project->id}";
    $this->stored = $this->getJson("{$this->path}/sequences/o4")->json();
});

it('makes a detail by each method, from its sizes alone, and it can be saved', function (string $generator) {
    $sheet = $this->postJson("{$this->path}/generate", [
        'id' => 'o90',
        'title' => 'Nine',
        'generator' => $generator,
        'parameters' => usualSizes($generator),
    ])
        ->assertOk()
        ->json();
    expect($sheet['detail']['generated']['generator'])
        ->toBe($generator)
        ->and($sheet['rain'])
        ->toHaveCount(count($sheet['steps']))
        ->and(end($sheet['rain'])['safe'])
        ->toBeTrue()
        ->and(array_filter($sheet['findings'], fn (array $f) => $f['severity'] === 'fail'))
        ->toBe([]);
    $this->putJson("{$this->path}/documents/detail/o90", ['revision' => 0, 'content' => $sheet['detail']])->assertOk();
    $traced = collect($this->getJson("{$this->path}/assessment")->json('details'))->firstWhere('id', 'o90');
    expect($traced['worst'])->toBe(end($sheet['rain'])['worst']);
})->with(array_keys(Methods::all()));

it('refuses a method it does not know and sizes that a method cannot dress', function () {
    $asked = [
        'id' => 'o9',
        'title' => 'Nine',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150],
    ];
    $this->postJson("{$this->path}/generate", ['generator' => 'by-magic'] + $asked)->assertUnprocessable();
    $this->postJson("{$this->path}/generate", array_replace_recursive($asked, ['parameters' => ['width_mm' => 20]]))
        ->assertUnprocessable()
        ->assertJsonFragment(['message' => 'width_mm is 20; expected 300 to 6000 mm']);
});

it('traces a detail as it is drawn, before it is saved', function () {
    $detail = $this->stored['detail'];
    $strip = array_search('head-strip', array_column($detail['pieces'], 'id'), true);
    unset($detail['generated']);
    // The head strip laid over the flap instead of under it: its top is then held by its bond alone.
    $detail['pieces'][$strip]['step'] = 11;
    $detail['pieces'][$strip]['patches'][0]['step'] = 11;
    $sheet = $this->postJson("{$this->path}/sheet", ['content' => $detail])
        ->assertOk()
        ->json();
    expect(array_column($sheet['findings'], 'key'))
        ->toContain('head.exposed@details/o4#head-strip')
        // What is stored is as it was.
        ->and($this->getJson("{$this->path}/sequences/o4")->json('findings'))
        ->toBe($this->stored['findings']);
});

it('refuses a drawing that cannot be built, with the patch', function () {
    $detail = $this->stored['detail'];
    $unit = array_search('unit', array_column($detail['pieces'], 'id'), true);
    $detail['pieces'][$unit]['step'] = 6;
    $detail['pieces'][$unit]['patches'][0]['step'] = 6;
    $this->postJson("{$this->path}/sheet", ['content' => $detail])
        ->assertUnprocessable()
        ->assertJsonFragment(['pointer' => '/details/0/pieces/6/patches/0'])
        ->assertJsonFragment(['expected' => 'overlapping patches in different steps']);
});

it('says of each step why it is not earlier, what a shower tonight would do, and where the water goes', function () {
    $rain = array_column($this->stored['rain'], null, 'step');
    expect(array_keys(array_filter(array_column($this->stored['rain'], 'safe', 'step'))))
        ->toBe([8, 9, 10])
        ->and($rain[7]['wets'])
        ->toBe(['the face'])
        ->and($rain[1]['wets'])
        ->toContain('the face')
        ->and($this->stored['reasons'])
        ->toContain(['before' => 7, 'after' => 8, 'why' => 'head strip lies under sheet']);
    foreach ($rain[10]['strips'] as $strip) {
        expect($strip['path'])
            ->not->toBe([])
            ->and($strip['route'][0]['facet'])
            ->toBe($strip['facet'])
            ->and($strip['u'][0])
            ->toBeLessThan($strip['u'][1]);
        // Down a facet water only falls: v never rises from one point of the way to the next on the same facet.
        foreach (array_slice($strip['route'], 1) as $i => $point) {
            $before = $strip['route'][$i];
            expect($point['facet'] !== $before['facet'] || $point['v'] <= $before['v'])->toBeTrue();
        }
    }
});

it('lists every method with what it takes, in words', function () {
    $methods = collect($this->getJson('/api/generators')->assertOk()->json())->keyBy('name');
    expect($methods->keys()->all())->toBe(array_keys(Methods::all()));
    foreach ($methods as $name => $method) {
        expect(str_contains($method['title'], '-unit'))->toBeFalse()->and($method['parameters'])->not->toBe([]);
        foreach ($method['parameters'] as $parameter) {
            expect($parameter['kind'] === 'material' || ! str_contains($parameter['label'], '_'))->toBeTrue(
                "$name {$parameter['name']}",
            );
            foreach ($parameter['of'] as $of) {
                expect($of['title'])->not->toBe('');
            }
        }
    }
});

it('takes what the project has settled: its wind and its schools', function () {
    $brief = $this->getJson($this->path)->json('brief');
    $brief['content']['project']['schools'] = ['head' => 'reverse-lap'];
    $this->putJson("{$this->path}/documents/brief/{$brief['key']}", [
        'revision' => $brief['revision'],
        'content' => $brief['content'],
    ])->assertOk();
    $asked = [
        'id' => 'o9',
        'title' => 'Nine',
        'generator' => 'flanged-unit-in-self-adhered',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150],
    ];
    $made = $this->postJson("{$this->path}/generate", $asked)
        ->assertOk()
        ->json('detail');
    expect($made['generated']['parameters']['head'])
        ->toBe('reverse-lap')
        ->and(array_column($made['steps'], 'does'))
        ->toContain('head-strip-taped');
    // What is asked for outright wins.
    $asked['parameters']['head'] = 'shingle';
    expect(array_column($this->postJson("{$this->path}/generate", $asked)->json('detail.steps'), 'does'))->toContain(
        'course-above',
    );
});

it('works out the joint and the depths, and refuses what makes no sense', function () {
    $sizes = [
        'width_mm' => 900,
        'height_mm' => 1200,
        'depth_mm' => 300,
        'gap_mm' => 13,
        'frame_mm' => 80,
        'unit_kg' => 45,
        'insulation_mm' => 150,
    ];
    $answer = $this->postJson("{$this->path}/joinery", $sizes + ['units' => 'us'])
        ->assertOk()
        ->json();
    expect(implode(' ', array_column($answer['joinery'], 'text')))
        ->toContain(' in')
        ->not->toContain('{')
        ->and(array_column($answer['depths'], 'place'))
        ->toContain('in-line-with-insulation');
    $this->postJson("{$this->path}/joinery", ['gap_mm' => 900] + $sizes)
        ->assertUnprocessable()
        ->assertJsonFragment(['message' => 'gap_mm is 900; expected 3 to 100']);
    $this->postJson("{$this->path}/joinery", array_diff_key($sizes, ['unit_kg' => 0]))->assertUnprocessable();
});

it('drills an order of the steps and keeps it only where asked', function () {
    $order = $this->getJson("{$this->path}/sequences/o4/drill?seed=7")
        ->assertOk()
        ->json();
    expect($order)->toEqualCanonicalizing(range(1, 10))->not->toBe(range(1, 10));
    $right = $this->postJson("{$this->path}/sequences/o4/drill", ['order' => range(1, 10)])
        ->assertOk()
        ->json();
    expect($right['broken'])
        ->toBe([])
        ->and($right['worst'])
        ->toBe('relies on bond')
        ->and($right['sheet']['steps'])
        ->toHaveCount(10);
    expect($this->getJson("{$this->path}/drills")->json())->toHaveCount(1);
    // The flap let down before the head strip: the strip then lies over it, held by its bond alone.
    $wrong = $this->postJson("{$this->path}/sequences/o4/drill", [
        'order' => [1, 2, 3, 4, 5, 6, 8, 7, 9, 10],
        'keep' => true,
        'tries' => 3,
    ])
        ->assertOk()
        ->json();
    expect($wrong['broken'])
        ->toBe([['before' => 7, 'after' => 8, 'why' => 'head strip lies under sheet']])
        ->and(
            collect($wrong['sheet']['findings'])
                ->pluck('key')
                ->filter(fn (string $k) => str_starts_with($k, 'head.exposed')),
        )
        ->not->toBeEmpty();
    $kept = $this->getJson("{$this->path}/drills")->json();
    expect($kept)
        ->toHaveCount(2)
        ->and($kept[0]['tries'])
        ->toBe(3)
        ->and($kept[0]['broken'])
        ->toBe(1)
        ->and($kept[0]['detail'])
        ->toBe('o4');
    // What cannot be built at all is said, not drawn.
    $woven = $this->postJson("{$this->path}/sequences/o4/drill", ['order' => [2, 3, 4, 5, 6, 7, 8, 9, 1, 10]])
        ->assertOk()
        ->json();
    expect($woven['refused'])->toContain('weave')->and($woven['sheet'])->toBeNull();
    $this->postJson("{$this->path}/sequences/o4/drill", ['order' => [1, 1]])
        ->assertUnprocessable()
        ->assertJsonFragment(['order' => ['an order of all steps, each once: 1, 2, 3, 4, 5, 6, 7, 8, 9, 10']]);
});

it('judges the sheet of a detail by the schools of its project', function () {
    $asked = [
        'id' => 'o9',
        'title' => 'Nine',
        'generator' => 'three-stage-joint',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150],
    ];
    $sill = fn (array $sheet) => collect($sheet['findings'])->firstWhere('key', 'sill.outer-joint@details/o9')[
        'severity'
    ] ?? 'none';
    expect($sill($this->postJson("{$this->path}/generate", $asked)->json()))->toBe('none');
    $sealed = array_replace_recursive($asked, ['parameters' => ['outer_sill' => 'weather-sealed']]);
    expect($sill($this->postJson("{$this->path}/generate", $sealed)->json()))->toBe('fail');
    $brief = $this->getJson($this->path)->json('brief');
    $brief['content']['project']['schools'] = ['outer-sill' => 'weather-sealed'];
    $this->putJson("{$this->path}/documents/brief/{$brief['key']}", [
        'revision' => $brief['revision'],
        'content' => $brief['content'],
    ])->assertOk();
    // The project's school makes the joint so by itself, and judges it as that school does.
    expect($sill($this->postJson("{$this->path}/generate", $asked)->json()))->toBe('caution');
});

it('keeps an opening as its method and sizes, and as a detail of its own once a piece is changed by hand', function () {
    $row = [
        'id' => 'o7',
        'title' => 'Seven',
        'generator' => 'flanged-unit-in-self-adhered',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150],
    ];
    $this->putJson("{$this->path}/documents/opening/o7", ['revision' => 0, 'content' => $row])
        ->assertOk()
        ->assertJson(['kind' => 'opening', 'revision' => 1]);
    $made = $this->getJson("{$this->path}/sequences/o7")
        ->assertOk()
        ->json('detail');
    expect($made['pieces'])->not->toBe([])->and($made['generated']['parameters']['head'])->toBe('shingle');

    // The strip that covers the flange, cut shorter by hand.
    unset($made['generated']);
    $made['pieces'][0]['patches'][0]['rect'][2] -= 5;
    $this->putJson("{$this->path}/documents/detail/o7", ['revision' => 0, 'content' => $made])->assertStatus(409);
    $this->putJson("{$this->path}/documents/detail/o7", ['revision' => 1, 'content' => $made])
        ->assertOk()
        ->assertJson(['kind' => 'detail', 'revision' => 2]);
    $file = json_decode($this->get("{$this->path}/export.json")->getContent(), true);
    expect(array_column($file['details'], 'id'))
        ->toContain('o7')
        ->and(array_column($file['openings'], 'id'))
        ->not->toContain('o7');

    // Undone: a row of the schedule again, under the key and history it had.
    $this->putJson("{$this->path}/documents/opening/o7", ['revision' => 2, 'content' => $row])
        ->assertOk()
        ->assertJson(['kind' => 'opening', 'revision' => 3]);
    $documents = $this->getJson($this->path)->json();
    expect(array_column($documents['openings'], 'key'))
        ->toContain('o7')
        ->and(array_column($documents['details'], 'key'))
        ->not->toContain('o7')
        ->and($this->project->documents()->where('key', 'o7')->sole()->revisions()->count())
        ->toBe(3);
    $this->deleteJson("{$this->path}/documents/opening/o7", ['revision' => 3])->assertNoContent();
    $this->getJson("{$this->path}/sequences/o7")->assertNotFound();
});

it('refuses an opening it cannot make, with the place, and keeps what is stored', function () {
    $row = [
        'id' => 'o9',
        'title' => 'Nine',
        'generator' => 'door-with-flush-threshold',
        'parameters' => ['width_mm' => 90, 'height_mm' => 2200, 'depth_mm' => 150],
    ];
    $this->putJson("{$this->path}/documents/opening/o9", ['revision' => 1, 'content' => $row])
        ->assertUnprocessable()
        ->assertJson(['pointer' => '/openings/0/parameters/width_mm', 'value' => '90', 'expected' => '300 to 6000 mm']);
    expect($this->getJson("{$this->path}/sequences/o9")->json('detail.opening.width_mm'))->toEqual(1000);
});

it('makes the openings again when the project settles its wind', function () {
    $brief = $this->getJson($this->path)->json('brief');
    $before = $this->getJson("{$this->path}/sequences/o11")->json('detail.opening.head_of_water_mm');
    $brief['content']['project']['wind_pressure_pa'] = 720;
    $this->putJson("{$this->path}/documents/brief/brief", [
        'revision' => $brief['revision'],
        'content' => $brief['content'],
    ])->assertOk();
    expect($before)
        ->toEqualWithDelta(300 / 9.81, 1e-9)
        ->and($this->getJson("{$this->path}/sequences/o11")->json('detail.opening.head_of_water_mm'))
        ->toEqualWithDelta(720 / 9.81, 1e-9);
});

it('puts on the cards and in the joint what the schools of the project say', function () {
    $brief = $this->getJson($this->path)->json('brief');
    $pressed = fn () => collect($this->getJson("{$this->path}/sequences/o4")->json('steps'))
        ->pluck('pieces')
        ->flatten(1)
        ->firstWhere('id', 'slit-tape-left')['press'];
    $joint = [
        'width_mm' => 900,
        'height_mm' => 1200,
        'depth_mm' => 140,
        'gap_mm' => 13,
        'frame_mm' => 80,
        'unit_kg' => 40,
    ];
    $foam = fn () => collect($this->postJson("{$this->path}/joinery", $joint)->json('joinery'))->firstWhere(
        'what',
        'joinery.foam',
    )['text'];
    expect($pressed())->toStartWith('Scraper')->and($foam())->toContain(', or to');
    $brief['content']['project']['schools'] += ['press' => 'hand', 'foam-depth' => 'full'];
    $this->putJson("{$this->path}/documents/brief/brief", [
        'revision' => $brief['revision'],
        'content' => $brief['content'],
    ])->assertOk();
    expect($pressed())->toStartWith('By hand')->and($foam())->toContain('60 %')->not->toContain('or to');
});

it('says what an opening takes from its wall, follows a saved change of it, and outlives its removal', function () {
    $sheet = $this->postJson("{$this->path}/generate", [
        'id' => 'o90',
        'title' => 'Nine',
        'generator' => 'unit-in-its-wall',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200],
        'between' => ['w2'],
    ])
        ->assertOk()
        ->json();
    expect($sheet['wall'])
        ->toMatchArray(['id' => 'w2', 'plane' => 'self-adhered membrane'])
        ->and($sheet['wall']['seen'])
        ->toMatchArray(['plane' => 'self-adhered', 'insulation_mm' => 100, 'material' => 'membrane-sbs'])
        ->and(array_column($sheet['asked'], 'value', 'name')['outboard'])
        ->toBe('flush')
        ->and($sheet['detail']['generated']['parameters'])
        ->toMatchArray(['outboard' => 'board', 'insulation_mm' => 100]);
    $this->putJson("{$this->path}/documents/opening/o90", [
        'revision' => 0,
        'content' => [
            'id' => 'o90',
            'title' => 'Nine',
            'generator' => 'unit-in-its-wall',
            'parameters' => ['width_mm' => 900, 'height_mm' => 1200],
            'between' => ['w2'],
            'seen' => $sheet['wall']['seen'],
        ],
    ])->assertOk();
    $said = fn (): array => array_values(
        array_filter(
            array_map(
                fn (array $f): string => $f['code'],
                array_filter(
                    $this->getJson("{$this->path}/assessment")->json('findings'),
                    fn (array $f): bool => $f['subject'] === 'details/o90',
                ),
            ),
            fn (string $code): bool => str_starts_with($code, 'opening.'),
        ),
    );
    expect($said())->toBe([]);
    $wall = contentOf($this->project->documents()->where('key', 'w2')->firstOrFail());
    $wall['layers'][4]['thickness_mm'] = 150;
    $this->putJson("{$this->path}/documents/assembly/w2", ['revision' => 1, 'content' => $wall])->assertOk();
    expect($said())
        ->toBe(['opening.wall-changed'])
        ->and($this->getJson("{$this->path}/sequences/o90")->json('detail.opening.outer_board_mm'))
        ->toEqual(150);
    $this->deleteJson("{$this->path}/documents/assembly/w2", ['revision' => 2])->assertNoContent();
    expect($said())->toBe(['opening.no-such-wall']);
});

it('takes what no page sends for a wall as no wall, or refuses it', function (mixed $between, int $status) {
    $this->postJson("{$this->path}/generate", [
        'id' => 'o90',
        'title' => 'Nine',
        'generator' => 'unit-in-its-wall',
        'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
        'between' => $between,
        'seen' => ['insulation_mm' => ['a list'], 'plane' => 7],
    ])->assertStatus($status);
})->with([
    'a word' => ['w1', 422],
    'three walls' => [['w1', 'w2', 'r1'], 422],
    'a list in it' => [[['w1']], 200],
    'a number' => [[7], 200],
    'a wall that is not there' => [['w99'], 200],
    'a roof' => [['r1'], 200],
]);
