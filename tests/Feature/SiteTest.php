<?php

declare(strict_types=1);

use App\Models\SiteEvent;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

beforeEach(function () {
    Storage::fake('files');
    [$this->project, $this->consultant, $this->inspector] = practice();
    $this->path = "/api/projects/{$this->project->id}";
    $this->visit = json_decode($this->project->siteEvents()->where('kind', 'visit')->firstOrFail()->content)->id;
    $this->reading = fn (array $more = []) => $more + [
        'id' => 'new1',
        'kind' => 'reading',
        'visit' => $this->visit,
        'at' => '2026-10-15T08:00:00Z',
        'check' => 'o4.flap-over-head-strip',
        'value_mm' => 62,
        'typed' => '62',
    ];
    $this->actingAs($this->inspector);
});

it('takes an event once however often it is sent, and says who sent it', function () {
    $this->postJson("{$this->path}/site/events", ['events' => [($this->reading)(['by' => 'Somebody Else'])]])
        ->assertOk()
        ->assertJson(['new' => 1]);
    $this->postJson("{$this->path}/site/events", ['events' => [($this->reading)(), ($this->reading)(['id' => 'new2'])]])
        ->assertOk()
        ->assertJson(['new' => 1]);
    $stored = json_decode($this->project->siteEvents()->where('event', 'new1')->firstOrFail()->content);
    expect($stored->by)->toBe($this->inspector->name)->and($stored->value_mm)->toBe(62);
    $check = collect($this->getJson("{$this->path}/site")->json('checks'))->firstWhere('id', 'o4.flap-over-head-strip');
    expect($check['verdict'])->toMatchArray(['severity' => 'caution', 'count' => 2, 'least_mm' => 62]);
});

it('never changes or removes what was seen', function (string $how) {
    $event = SiteEvent::where('project_id', $this->project->id)->firstOrFail();
    $change =
        $how === 'update'
            ? fn () => DB::table('site_events')
                ->where('id', $event->id)
                ->update(['content' => '{}'])
            : fn () => DB::table('site_events')->where('id', $event->id)->delete();
    expect($change)->toThrow(QueryException::class, 'only ever added');
})->with(['update', 'delete']);

it('corrects a reading by a later one and keeps both', function () {
    $this->postJson("{$this->path}/site/events", ['events' => [($this->reading)()]])->assertOk();
    $this->postJson("{$this->path}/site/events", [
        'events' => [
            ($this->reading)([
                'id' => 'new2',
                'value_mm' => 121,
                'supersedes' => 'new1',
                'at' => '2026-10-15T08:05:00Z',
            ]),
        ],
    ])->assertOk();
    $check = collect($this->getJson("{$this->path}/site")->json('checks'))->firstWhere('id', 'o4.flap-over-head-strip');
    expect($check['verdict'])
        ->toMatchArray(['severity' => 'pass', 'count' => 1])
        ->and(
            $this->project
                ->siteEvents()
                ->whereIn('event', ['new1', 'new2'])
                ->count(),
        )
        ->toBe(2);
});

it('refuses what it cannot keep, with the place, and keeps none of the lot', function (array $more, string $pointer) {
    $before = $this->project->siteEvents()->count();
    $this->postJson("{$this->path}/site/events", [
        'events' => [($this->reading)(['id' => 'sound']), ($this->reading)($more)],
    ])
        ->assertStatus(422)
        ->assertJsonPath('pointer', $pointer);
    expect($this->project->siteEvents()->count())->toBe($before);
})->with([
    [['value_mm' => -1], '/events/1/value_mm'],
    [['kind' => 'rumour'], '/events/1/kind'],
    [['at' => 'noon'], '/events/1/at'],
    [['holds' => true], '/events/1'],
    [['photographs' => [str_repeat('a', 64)]], '/events/1/photographs'],
]);

it('leaves place and camera of a photograph behind, and turns it upright', function () {
    // A JPEG with an EXIF block: orientation 6 and a GPS directory.
    $picture = imagecreatetruecolor(80, 40);
    ob_start();
    imagejpeg($picture);
    $jpeg = ob_get_clean();
    $tiff =
        "MM\0*\0\0\0\x08".
        "\0\x02".
        "\x01\x12\0\x03\0\0\0\x01\0\x06\0\0".
        "\x88\x25\0\x04\0\0\0\x01\0\0\0\x26".
        "\0\0\0\0".
        "\0\x01".
        "\0\x01\0\x02\0\0\0\x02N\0\0\0".
        "\0\0\0\0";
    $exif = "Exif\0\0".$tiff;
    $tagged = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    $read = exif_read_data('data://image/jpeg;base64,'.base64_encode($tagged));
    expect($read['Orientation'])->toBe(6)->and($read)->toHaveKey('GPSLatitudeRef');

    $answer = $this->post("{$this->path}/photographs", [
        'photograph' => UploadedFile::fake()->createWithContent('a.jpg', $tagged),
    ])->assertCreated();
    $kept = $this->get("{$this->path}/photographs/{$answer->json('sha256')}")
        ->assertOk()
        ->getContent();
    expect($answer->json('width'))
        ->toBe(40)
        ->and($answer->json('height'))
        ->toBe(80)
        ->and(hash('sha256', $kept))
        ->toBe($answer->json('sha256'))
        ->and($kept)
        ->not->toContain('Exif')
        ->and(exif_read_data('data://image/jpeg;base64,'.base64_encode($kept)))
        ->not->toHaveKey('GPSLatitudeRef');
});

it('makes a large photograph smaller', function () {
    $answer = $this->post("{$this->path}/photographs", [
        'photograph' => UploadedFile::fake()->image('a.png', 3000, 1500),
    ])->assertCreated();
    expect([$answer->json('width'), $answer->json('height')])->toBe([2048, 1024]);
});

it('refuses what is no photograph, or too much of one', function (string $content, string $value) {
    config(['apron.photograph_most_bytes' => 200_000]);
    $this->post(
        "{$this->path}/photographs",
        ['photograph' => UploadedFile::fake()->createWithContent('a.jpg', $content)],
        ['Accept' => 'application/json'],
    )
        ->assertStatus(422)
        ->assertJsonPath('pointer', '/photograph')
        ->assertJsonPath('value', $value);
})->with([
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'no picture'],
    ["GIF89a\x01\0\x01\0\x80\0\0\0\0\0\xff\xff\xff,\0\0\0\0\x01\0\x01\0\0\x02\x02D\x01\0;", 'image/gif'],
    [str_repeat('x', 300_000), '0.3 MB'],
]);

it('refuses a reading of a check that there is not, at its place, unless it says itself what was asked', function () {
    $this->postJson("{$this->path}/site/events", [
        'events' => [($this->reading)(['check' => 'o4.wet-film-of-nothing'])],
    ])
        ->assertUnprocessable()
        ->assertJson(['pointer' => '/events/0/check']);
    expect(
        $this->project
            ->siteEvents()
            ->where('event', 'new1')
            ->count(),
    )->toBe(0);
});

it('takes a thousand readings and sixty photographs of two phones, in any order, again and again, each once', function () {
    Illuminate\Support\Facades\Storage::fake('files');
    [$project, $consultant, $inspector] = practice();
    $path = "/api/projects/$project->id";
    mt_srand(11);
    $picture = function (int $n): UploadedFile {
        $image = imagecreatetruecolor(24, 18);
        imagefill($image, 0, 0, imagecolorallocate($image, $n * 4, 255 - $n * 4, ($n * 37) % 256));
        imagepng($image, $file = tempnam(sys_get_temp_dir(), 'apron').'.png');

        return new Illuminate\Http\UploadedFile($file, "$n.png", 'image/png', null, true);
    };
    $phones = [];
    foreach ([$consultant, $inspector] as $i => $person) {
        $visit = ['id' => "v$i", 'kind' => 'visit', 'visit' => "v$i", 'at' => '2026-11-20T08:00:00Z'];
        $events = [];
        foreach (range(1, 500) as $n) {
            $events[] = ['id' => "r$i-$n", 'kind' => 'reading', 'visit' => "v$i", 'check' => 'o4.pan-upturn.left'] +
                ['at' => '2026-11-20T09:00:00Z', 'value_mm' => $n, 'typed' => "$n mm"];
        }
        $this->flushSession();
        Illuminate\Support\Facades\Auth::forgetGuards();
        $this->actingAs($person);
        foreach (range(1, 30) as $n) {
            // The same picture comes twice where the answer was lost.
            foreach ([1, 2] as $ignored) {
                $sha = $this->post("$path/photographs", ['photograph' => $picture(30 * $i + $n)], [
                    'Accept' => 'application/json',
                ])->assertCreated()->json('sha256');
            }
            $events[] = ['id' => "p$i-$n", 'kind' => 'photograph', 'visit' => "v$i", 'photographs' => [$sha]] +
                ['at' => '2026-11-20T09:00:00Z', 'check' => 'o4.pan-upturn.left'];
        }
        $phones[] = [$person, $visit, $events];
    }
    // Parts of both, shuffled, many of them twice; one that cannot be taken stops none of the others.
    $parts = [];
    foreach ($phones as [$person, $visit, $events]) {
        shuffle($events);
        foreach (array_chunk($events, 50) as $part) {
            $parts[] = [$person, [$visit, ...$part]];
            mt_rand(0, 1) === 1 && ($parts[] = [$person, [...array_reverse($part), $visit]]);
        }
    }
    shuffle($parts);
    foreach ($parts as $at => [$person, $part]) {
        $this->flushSession();
        Illuminate\Support\Facades\Auth::forgetGuards();
        $this->actingAs($person);
        if ($at === 5) {
            $wrong = ['id' => 'wrong', 'kind' => 'reading', 'at' => '2026-11-20T09:00:00Z', 'visit' => 'v0'];
            $this->postJson("$path/site/events", ['events' => [$wrong + ['check' => 'nowhere', 'value_mm' => 1]]])
                ->assertStatus(422);
        }
        $this->postJson("$path/site/events", ['events' => $part, 'as' => $person->id])->assertOk();
    }
    $kept = array_map(
        fn (string $content): array => json_decode($content, true),
        $project->siteEvents()->where('imported', false)->pluck('content')->all(),
    );
    expect(array_count_values(array_column($kept, 'kind')))
        ->toEqual(['visit' => 2, 'reading' => 1000, 'photograph' => 60])
        ->and($project->photographs()->count())
        ->toBe(60);
});

it('ranks faults by what is open, what it weighs and what stands behind it, with who mends it and by when', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $checks = $this->getJson("$path/site")->assertOk()->json('checks');
    // The slit over the sill's corner relies on its tape alone.
    $slit = array_column($checks, 'id', 'id')['o4.slit-tape-side.left'];
    $event = fn (string $id, string $kind, array $more): array => $more + compact('id', 'kind') +
        ['visit' => 'v', 'at' => '2026-11-20T09:00:00Z'];
    $raise = fn (string $id, string $severity, ?string $check = null): array => $event($id, 'fault-raised', [
        'severity' => $severity,
        'words' => "fault $id",
    ] + ($check === null ? [] : compact('check')));
    $send = fn (array ...$events) => $this->postJson("$path/site/events", ['events' => $events]);
    $send(
        ['id' => 'v', 'kind' => 'visit', 'at' => '2026-11-20T08:00:00Z'],
        $raise('light', 'note'),
        $raise('heavy', 'fail'),
        $raise('seen', 'fail', $slit),
        $raise('done', 'fail'),
        $event('m', 'fault-repaired', ['fault' => 'done', 'words' => 'mended', 'at' => '2026-11-20T10:00:00Z']),
        $event('a1', 'fault-assigned', ['fault' => 'heavy', 'who' => 'the roofer'] +
            ['at' => '2026-11-20T12:00:00Z']),
        $event('a2', 'fault-assigned', ['fault' => 'heavy', 'who' => 'the glazier', 'due' => '2026-12-01'] +
            ['at' => '2026-11-21T09:00:00Z']),
    )->assertOk();
    $faults = $this->getJson("$path/site")->assertOk()->json('faults');
    $ours = array_values(
        array_filter($faults, fn (array $f): bool => in_array($f['id'], ['light', 'heavy', 'seen', 'done'], true)),
    );
    expect(array_column($ours, 'id'))
        // Where something is known to stand behind it, it is known to be the nearer to harm.
        ->toBe(['seen', 'heavy', 'light', 'done'])
        ->and($ours[0]['lines'])
        ->toBeInt()
        ->and([$ours[1]['who'], $ours[1]['due'], $ours[1]['lines']])
        ->toBe(['the glazier', '2026-12-01', null]);
    $send($event('a3', 'fault-assigned', ['fault' => 'heavy', 'who' => 'x', 'due' => '2026-02-30']))
        ->assertStatus(422)
        ->assertJson(['pointer' => '/events/0/due']);
    $send($event('a4', 'fault-assigned', ['fault' => 'nowhere', 'who' => 'x']))->assertStatus(422);
});

it('keeps arrows and words on a photograph, and with what a reading was taken', function () {
    Illuminate\Support\Facades\Storage::fake('files');
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    imagepng(imagecreatetruecolor(40, 30), $file = tempnam(sys_get_temp_dir(), 'apron').'.png');
    $picture = new Illuminate\Http\UploadedFile($file, 'a.png', 'image/png', null, true);
    $json = ['Accept' => 'application/json'];
    $sha = $this->post("$path/photographs", ['photograph' => $picture], $json)->json('sha256');
    $visit = ['id' => 'v', 'kind' => 'visit', 'at' => '2026-11-20T08:00:00Z'];
    $photograph = fn (array $marks): array => ['id' => 'p', 'kind' => 'photograph', 'visit' => 'v'] +
        ['at' => '2026-11-20T09:00:00Z', 'photographs' => [$sha], 'marks' => $marks];
    $send = fn (array ...$events) => $this->postJson("$path/site/events", ['events' => $events]);
    foreach ([['at' => [0.5, 1.5], 'words' => 'x'], ['at' => [0.5, 0.5]], ['at' => [0.5], 'words' => 'x']] as $bad) {
        $send($visit, $photograph([$bad]))->assertStatus(422);
    }
    $marks = [['at' => [0.5, 0.25], 'from' => [0.1, 0.9], 'words' => 'tear'], ['at' => [0.2, 0.2], 'words' => 'here']];
    $reading = ['id' => 'r', 'kind' => 'reading', 'visit' => 'v', 'check' => 'o4.pan-upturn.left', 'value_mm' => 150] +
        ['at' => '2026-11-20T09:00:00Z', 'instrument' => 'rule no. 3', 'calibrated' => '2026-10-01'];
    $send($visit, $photograph($marks), $reading)->assertOk();
    $site = $this->getJson("$path/site")->assertOk()->json();
    $shown = array_values(array_filter($site['photographs'], fn (array $p): bool => $p['id'] === 'p'));
    $check = array_column($site['checks'], null, 'id')['o4.pan-upturn.left'];
    $read = array_column($check['readings'], null, 'id')['r'];
    expect($shown[0]['marks'])
        ->toEqual($marks)
        ->and([$read['instrument'], $read['calibrated'], $check['wanted']])
        ->toBe(['rule no. 3', '2026-10-01', 1]);
    // Out as a file and in again, it says the same.
    $file = $this->get("$path/export.json")->assertOk()->json();
    $events = array_column($file['site']['events'], null, 'id');
    expect($events['p']['marks'])->toEqual($marks)->and($events['r']['calibrated'])->toBe('2026-10-01');
});
