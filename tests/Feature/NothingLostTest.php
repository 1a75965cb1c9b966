<?php

declare(strict_types=1);

use App\Models\Project;
use App\Project\StoredProject;
use Apron\Budget\Deadline;
use Apron\Project\ProjectFormat;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

beforeEach(function () {
    Storage::fake('files');
    [$this->project, $this->consultant, $this->inspector] = practice();
    $this->path = "/api/projects/{$this->project->id}";
    $this->actingAs($this->consultant);
    $this->wall = contentOf($this->project->documents()->where('key', 'w1')->firstOrFail());
    $this->bring = fn (string $content, string $name = 'p.json') => $this->post(
        '/api/projects/import',
        ['file' => UploadedFile::fake()->createWithContent($name, $content)],
        ['Accept' => 'application/json'],
    );
});

/** Every route that reads a whole project still answers. */
function stillOpens($test, string $path): void
{
    $assessments = ['/assessment', '/assessment?paths=none'];
    $routes = ['', ...$assessments, '/site', '/materials', '/export.json', '/export.zip', '/drills'];
    foreach ($routes as $route) {
        expect($test->get($path.$route)->getStatusCode())->toBe(200, $path.$route);
    }
}

it('keeps a drill only as an order of whole numbers, so that no request locks the project', function (
    mixed $order,
    int $status,
) {
    $steps = contentOf($this->project->documents()->where('key', 'o4')->firstOrFail())['steps'] ?? null;
    $numbers = array_column($steps ?? $this->getJson("{$this->path}/sequences/o4")->json('steps'), 'number');
    $given =
        $order === 'strings'
            ? array_map(strval(...), $numbers)
            : ($order === 'keyed'
                ? (object) array_combine(array_map(fn (int $n): string => "k$n", $numbers), $numbers)
                : ($order === 'right'
                    ? $numbers
                    : [true, ...array_slice($numbers, 1)]));
    $this->actingAs($this->inspector)
        ->postJson("{$this->path}/sequences/o4/drill", ['order' => $given, 'keep' => true])
        ->assertStatus($status);
    stillOpens($this, $this->path);
})->with([['strings', 422], ['truths', 422], ['keyed', 422], ['right', 200]]);

it('will not remove what was saved by somebody else meanwhile', function () {
    $this->putJson("{$this->path}/documents/assembly/w1", [
        'revision' => 1,
        'content' => ['name' => 'Theirs'] + $this->wall,
    ])->assertOk();
    $this->deleteJson("{$this->path}/documents/assembly/w1", ['revision' => 1])
        ->assertStatus(409)
        ->assertJsonPath('theirs.content.name', 'Theirs');
    $this->deleteJson("{$this->path}/documents/assembly/w1")->assertStatus(422);
});

it('removes as a revision, lists what was removed, and brings it back as it was', function () {
    $this->deleteJson("{$this->path}/documents/assembly/w1", ['revision' => 1])->assertNoContent();
    expect(array_column($this->getJson($this->path)->json('assemblies'), 'key'))->not->toContain('w1');
    $removed = $this->getJson("{$this->path}/removed")
        ->assertOk()
        ->json();
    expect($removed)
        ->toHaveCount(1)
        ->and($removed[0])
        ->toMatchArray(['kind' => 'assembly', 'key' => 'w1', 'revision' => 2, 'by' => $this->consultant->name]);
    $revisions = $this->getJson("{$this->path}/documents/assembly/w1/revisions")
        ->assertOk()
        ->json();
    expect(array_column($revisions, 'number'))
        ->toBe([2, 1])
        ->and($revisions[0]['content'])
        ->toBeNull();
    $this->putJson("{$this->path}/documents/assembly/w1", ['revision' => 2, 'content' => $revisions[1]['content']])
        ->assertOk()
        ->assertJson(['revision' => 3]);
    expect($this->getJson("{$this->path}/removed")->json())
        ->toBe([])
        ->and(contentOf($this->project->documents()->where('key', 'w1')->sole()))
        ->toEqual($this->wall);
});

it('takes a save sent again after a lost answer for the same save', function () {
    $save = ['revision' => 1, 'content' => ['name' => 'Mine'] + $this->wall, 'save' => '01SAVE'];
    foreach ([1, 2] as $_) {
        $this->putJson("{$this->path}/documents/assembly/w1", $save)
            ->assertOk()
            ->assertJson(['revision' => 2, 'save' => '01SAVE']);
    }
    expect($this->project->documents()->where('key', 'w1')->sole()->revisions()->count())->toBe(2);
});

it('shows one broken document as broken and everything else as it is', function () {
    DB::table('documents')
        ->where(['project_id' => $this->project->id, 'key' => 'w1'])
        ->update([
            'content' => json_encode(['layers' => [['material' => 'no-such', 'thickness_mm' => 1]]] + $this->wall),
            'hash' => str_repeat('b', 64),
        ]);
    stillOpens($this, $this->path);
    $walls = array_column($this->getJson($this->path)->json('assemblies'), 'broken', 'key');
    expect($walls['w1'])->toContain('no-such')->and($walls['w2'])->toBeNull();
    $said = $this->getJson("{$this->path}/assessment?paths=none")->json();
    expect(array_column($said['findings'], 'subject', 'code')['document.broken'])
        ->toBe('assemblies/w1')
        ->and(array_column($said['assemblies'], 'id'))
        ->toContain('w2')
        ->not->toContain('w1');
    // Others can still be saved, and it can be put right.
    $other = contentOf($this->project->documents()->where('key', 'w2')->firstOrFail());
    $this->putJson("{$this->path}/documents/assembly/w2", [
        'revision' => 1,
        'content' => ['name' => 'Still saved'] + $other,
    ])->assertOk();
    $this->putJson("{$this->path}/documents/assembly/w1", ['revision' => 1, 'content' => $this->wall])->assertOk();
    expect(array_filter(array_column($this->getJson($this->path)->json('assemblies'), 'broken')))->toBe([]);
});

it('opens a project that an earlier version let a stray drill lock', function () {
    DB::table('drill_runs')->insert([
        'project_id' => $this->project->id,
        'detail' => 'o4',
        'title' => 'o4',
        'by' => 'x',
        'at' => '2026-05-01T10:00:00Z',
        'order' => '["1","2"]',
        'tries' => 1,
        'broken' => 0,
        'worst' => 'shed',
    ]);
    stillOpens($this, $this->path);
});

it('lets no save break what stands on it', function () {
    $brief = contentOf($this->project->documents()->where('kind', 'brief')->sole());
    $brief['project']['wind_pressure_pa'] = 4900;
    $saved = $this->putJson("{$this->path}/documents/brief/brief", ['revision' => 1, 'content' => $brief]);
    // A gust that would lift water half a metre is refused with the opening whose dam could not hold it.
    $saved->assertUnprocessable()->assertJsonPath('pointer', '/openings/o2');
    expect($saved->json('message'))->toContain('head_of_water_mm 499')->toContain('0 to 300 mm');
    stillOpens($this, $this->path);
    expect(app(StoredProject::class)->open($this->project->fresh())->broken)->toBe([]);
});

it('imports nothing that it could not open again', function (callable $change) {
    $file = json_decode(ProjectFormat::write(app(StoredProject::class)->open($this->project)));
    $change($file);
    $answer = ($this->bring)(json_encode($file));
    if ($answer->getStatusCode() === 201) {
        stillOpens($this, '/api/projects/'.$answer->json('id'));
        $out = $this->get('/api/projects/'.$answer->json('id').'/export.json')->getContent();
        expect(ProjectFormat::write(ProjectFormat::parse($out, new Apron\Material\Catalogue)))->toBe($out);
    } else {
        expect($answer->getStatusCode())->toBe(422)->and(Project::count())->toBe(1);
    }
})->with([
    'a method without parameters' => [
        fn (stdClass $file) => ($file->details[0]->generated = (object) [
            'generator' => 'own',
            'parameters' => new stdClass,
        ]),
    ],
    'parameters that are numbered' => [
        fn (stdClass $file) => ($file->details[0]->generated = (object) [
            'generator' => 'own',
            'parameters' => (object) ['0' => 5],
        ]),
    ],
    'figures of a step that are numbered' => [
        fn (stdClass $file) => ($file->details[0]->steps = [
            (object) ['number' => 1, 'does' => 'own', 'figures' => (object) ['0' => 1, '1' => 2]],
        ]),
    ],
    'practised before there were stamps' => [fn (stdClass $file) => ($file->training[0]->at = '1969-12-31T23:59:59Z')],
    'practised after the stamps run out' => [fn (stdClass $file) => ($file->training[0]->at = '2039-01-01T00:00:00Z')],
    'practised in a year of nought' => [fn (stdClass $file) => ($file->training[0]->at = '0000-01-01T00:00:00Z')],
    'an id of eighty characters and a line break' => [
        fn (stdClass $file) => ($file->assemblies[0]->id = str_repeat('a', 80)."\n"),
    ],
    'an id with a backslash' => [fn (stdClass $file) => ($file->assemblies[0]->id = 'a\\b')],
    'two hundred thousand conditions' => [
        fn (stdClass $file) => ($file->conditions = array_fill(
            0,
            200000,
            (object) ['name' => 'c', 'indoor_c' => 20, 'indoor_rh_pct' => 50, 'outdoor_c' => 0, 'outdoor_rh_pct' => 80],
        )),
    ],
]);

it('takes in a file that an editor began with a byte order mark', function () {
    ($this->bring)(
        "\xEF\xBB\xBF".ProjectFormat::write(app(StoredProject::class)->open($this->project)),
    )->assertCreated();
});

it('brings in an archive whole or not at all', function (string $photograph) {
    $path = tempnam(sys_get_temp_dir(), 'apron');
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::OVERWRITE);
    $zip->addFromString('project.json', ProjectFormat::write(app(StoredProject::class)->open($this->project)));
    $zip->addFromString('photographs/'.hash('sha256', $photograph).'.jpg', $photograph);
    $zip->close();
    ($this->bring)((string) file_get_contents($path), 'p.zip')->assertStatus(422);
    expect(Project::count())->toBe(1);
    unlink($path);
})->with([
    'no picture' => ['no picture'],
    'one that is no picture after its head' => ["\xFF\xD8\xFF\xE0".str_repeat('x', 50)],
]);

it(
    'draws a photograph of an archive anew where it says more than its pixels, and follows it in the record',
    function () {
        $image = imagecreatetruecolor(40, 30);
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        $said = '<x:xmpmeta GPSLatitude="47,3N"/>';
        $tattling =
            substr($jpeg, 0, 2).
            "\xFF\xE1".
            pack('n', strlen($said) + 31).
            "http://ns.adobe.com/xap/1.0/\0".
            $said.
            substr($jpeg, 2).
            '<script>';
        $digest = hash('sha256', $tattling);
        $file = json_decode(ProjectFormat::write(app(StoredProject::class)->open($this->project)));
        $visit = current(array_filter($file->site->events, fn (stdClass $e): bool => $e->kind === 'visit'));
        $file->site->events[] = (object) [
            'id' => 'p1',
            'kind' => 'photograph',
            'visit' => $visit->id,
            'at' => '2026-10-15T08:00:00Z',
            'by' => 'x',
            'photographs' => [$digest],
        ];
        $path = tempnam(sys_get_temp_dir(), 'apron');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('project.json', json_encode($file));
        $zip->addFromString("photographs/$digest.jpg", $tattling);
        $zip->close();
        $id = ($this->bring)((string) file_get_contents($path), 'p.zip')->assertCreated()->json('id');
        $kept = collect($this->getJson("/api/projects/$id/site")->json('photographs'))->firstWhere('id', 'p1')[
            'photographs'
        ][0];
        $bytes = $this->get("/api/projects/$id/photographs/$kept")
            ->assertOk()
            ->getContent();
        expect($kept)->not->toBe($digest)->and($bytes)->not->toContain('GPS')->not->toContain('script');
        unlink($path);
    },
);

it('refuses one id with two contents, and takes the same content twice', function () {
    $visit = json_decode($this->project->siteEvents()->where('kind', 'visit')->firstOrFail()->content)->id;
    $reading = fn (float $mm): array => [
        'events' => [
            [
                'id' => 'e1',
                'kind' => 'reading',
                'visit' => $visit,
                'at' => '2026-10-15T08:00:00Z',
                'check' => 'o4.flap-over-head-strip',
                'value_mm' => $mm,
            ],
        ],
    ];
    $this->postJson("{$this->path}/site/events", $reading(62))
        ->assertOk()
        ->assertJson(['new' => 1]);
    $this->postJson("{$this->path}/site/events", $reading(62))
        ->assertOk()
        ->assertJson(['new' => 0]);
    $this->postJson("{$this->path}/site/events", $reading(99))
        ->assertStatus(409)
        ->assertJson(['event' => 'e1']);
});

it('signs nobody’s readings with another’s name, and notes the account and what was asked', function () {
    $visit = json_decode($this->project->siteEvents()->where('kind', 'visit')->firstOrFail()->content)->id;
    $events = [
        [
            'id' => 'e1',
            'kind' => 'reading',
            'visit' => $visit,
            'at' => '2026-10-15T08:00:00Z',
            'check' => 'o4.flap-over-head-strip',
            'value_mm' => 62,
            'by' => 'Forged',
            'account' => 'forged',
        ],
    ];
    $this->actingAs($this->inspector)
        ->postJson("{$this->path}/site/events", ['events' => $events, 'as' => $this->consultant->id])
        ->assertForbidden();
    $this->postJson("{$this->path}/site/events", ['events' => $events, 'as' => $this->inspector->id])->assertOk();
    $row = $this->project->siteEvents()->where('event', 'e1')->sole();
    $stored = json_decode($row->content, true);
    expect($row->user_id)
        ->toBe($this->inspector->id)
        ->and($stored)
        ->toMatchArray(['by' => $this->inspector->name, 'account' => $this->inspector->id])
        ->and($stored['asked'])
        ->toMatchArray(['least_mm' => 100])
        ->and($stored['asked']['edition'])
        ->toContain('figures ');
    // Its detail is taken out; what was read of it stays, with what it was asked.
    $opening = $this->project->documents()->where('key', 'o4')->sole();
    $this->flushSession();
    $this->actingAs($this->consultant)
        ->deleteJson("{$this->path}/documents/{$opening->kind}/o4", ['revision' => $opening->revision])
        ->assertNoContent();
    $gone = collect($this->getJson("{$this->path}/site")->json('orphans'))->firstWhere(
        'check',
        'o4.flap-over-head-strip',
    );
    expect($gone['readings'])
        ->not->toBe([])
        ->and(array_column($this->getJson("{$this->path}/assessment?paths=none")->json('findings'), 'code'))
        ->toContain('site.check-gone');
});

it('keeps evidence from every way of taking it away', function (string $table, string $how) {
    if ($table === 'photographs') {
        $this->actingAs($this->inspector)
            ->post("{$this->path}/photographs", ['photograph' => UploadedFile::fake()->image('a.jpg', 60, 40)])
            ->assertCreated();
    }
    expect(DB::table($table)->count())->toBeGreaterThan(0);
    $change = match ($how) {
        'change' => fn () => DB::table($table)->update(['id' => 0]),
        'delete' => fn () => DB::table($table)->delete(),
        'delete the project' => fn () => DB::table('projects')->delete(),
        'delete the documents' => fn () => DB::table('documents')->delete(),
    };
    expect($change)->toThrow(QueryException::class);
})
    ->with(['site_events', 'document_revisions', 'drill_runs', 'photographs'])
    ->with(['change', 'delete', 'delete the project', 'delete the documents']);

it('cuts off what asks for too much, in words', function () {
    config(['app.debug' => false]);
    $layers = array_map(
        fn (int $i): array => ['material' => $i % 2 ? 'gypsum-board' : 'glass-wool-batt', 'thickness_mm' => 20] +
            ($i < 8 ? ['framing' => ['material' => 'spruce-stud', 'fraction' => 0.1 + $i / 100]] : []),
        range(0, 59),
    );
    $materials = array_column(array_map(fn ($m) => [$m->id, $m], (new Apron\Material\Catalogue)->all()), 1, 0);
    $lumber = array_key_first(array_filter($materials, fn ($m): bool => $m->family?->id === 'lumber'));
    $layers = array_map(
        fn (array $l): array => isset($l['framing']) ? ['framing' => ['material' => $lumber] + $l['framing']] + $l : $l,
        $layers,
    );
    // A foil outside keeps in what comes through, so that there is something to clear.
    $layers[59] = ['material' => 'aluminium-foil', 'thickness_mm' => 0.05];
    $content = ['id' => 'big', 'name' => 'big', 'kind' => 'wall', 'layers' => $layers];
    $key = collect(
        $this->postJson("{$this->path}/assess", ['kind' => 'assembly', 'content' => $content])
            ->assertOk()
            ->json('findings'),
    )->firstWhere(fn (array $f): bool => in_array($f['severity'], ['fail', 'caution'], true))['key'];
    // Sixty layers tried each in several thicknesses take seconds on any machine; within a fifth of one nothing else
    // can be the answer.
    $answer = Deadline::within(
        0.2,
        fn () => $this->postJson("{$this->path}/cures", ['content' => $content, 'key' => $key]),
    );
    expect($answer->getStatusCode())->toBe(422)->and($answer->json('message'))->toContain('was cut off');
});

it('answers what no page sends with a refusal and not with a fault', function (
    string $method,
    string $route,
    string $body,
) {
    $response = $this->call(
        $method,
        str_replace('{p}', $this->path, $route),
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );
    expect($response->getStatusCode())->toBeGreaterThanOrEqual(400)->toBeLessThan(500);
})->with([
    ['POST', '/api/sign-in', '{"email":["a"],"password":"x"}'],
    ['GET', '{p}/assessment?units[]=x', ''],
    ['GET', '{p}/site?units[]=x', ''],
    [
        'POST',
        '{p}/assess',
        '{"kind":"assembly","content":{"id":"w","name":"w","kind":"wall","layers":[{"material":"gypsum-board","thickness_mm":1e999}]}}',
    ],
    [
        'PUT',
        '{p}/documents/assembly/w9',
        '{"revision":0,"content":{"id":"w9","name":"w","kind":"wall","layers":[{"material":"gypsum-board","thickness_mm":1e999}]}}',
    ],
    [
        'POST',
        '{p}/assess',
        '{"kind":"assembly","content":'.str_repeat('{"a":', 100).'1'.str_repeat('}', 100).'}',
    ],
    ['POST', '{p}/assess', "kind=assembly&content[name]=\xff\xfe"],
    ['POST', '{p}/assess', '{"kind":"brief","content":{"project":{"name":"x","units":"si"},"assemblies":[]}}'],
    ['POST', '{p}/site/events', '{"events":[1]}'],
    [
        'PUT',
        '{p}/documents/detail/loop',
        '{"revision":0,"content":{"id":"loop","title":"loop","facets":{"a":{"u":[0,100],"v":[0,200]}},"folds":[{"from":"a","to":"a","at_v":100}],"pieces":[{"id":"p","material":"polyolefin-wrap","kind":"sheet","step":1,"patches":[{"id":"q","facet":"a","rect":[0,0,100,200]}]}]}}',
    ],
]);

it('accepts schools that settle nothing, as the command line does', function () {
    $brief = json_decode($this->project->documents()->where('kind', 'brief')->sole()->content);
    $brief->project->schools = new stdClass;
    $this->postJson("{$this->path}/assess", ['kind' => 'brief', 'content' => $brief])->assertOk();
});

it('keeps a name in the table of hours on its line', function () {
    $brief = json_decode($this->project->documents()->where('kind', 'brief')->sole()->content);
    $brief->climate->name = "x\n=HYPERLINK(\"http://evil/\",\"click\")\n";
    $this->putJson("{$this->path}/documents/brief/brief", ['revision' => 1, 'content' => $brief])->assertOk();
    $lines = explode(
        "\n",
        trim(
            (string) $this->get("{$this->path}/hours.csv")
                ->assertOk()
                ->getContent(),
        ),
    );
    expect($lines)->toHaveCount(8762)->and($lines[1])->toStartWith('hour,');
});

it('lists projects a page at a time, or by part of their name, and reads no more of them than it shows', function () {
    foreach (range(1, 120) as $n) {
        Project::create(['organisation_id' => $this->consultant->organisation_id, 'name' => "Barn $n"]);
    }
    DB::enableQueryLog();
    expect($this->getJson('/api/projects')->json())
        ->toHaveCount(100)
        ->and($this->getJson('/api/projects?page=2')->json())
        ->toHaveCount(21)
        ->and(array_column($this->getJson('/api/projects?find=barn%2012')->json(), 'name'))
        ->toEqualCanonicalizing(['Barn 12', 'Barn 120']);
    $read = implode(
        ' ',
        array_column(
            array_filter(DB::getQueryLog(), fn (array $q): bool => str_contains($q['query'], '`projects`')),
            'query',
        ),
    );
    expect($read)->not->toContain('*');
});
