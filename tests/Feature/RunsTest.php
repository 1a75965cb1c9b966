<?php

declare(strict_types=1);

use App\Jobs\RunWall;
use App\Models\Run;
use App\Models\RunState;
use App\Project\KeptRuns;
use Apron\Transient\Memory;
use Apron\Transient\WallResult;
use Illuminate\Support\Facades\Queue;

/** A run of the demo's timber wall, saved. */
function keepRun(string $path, int $revision = 0, array $more = []): void
{
    test()->putJson("$path/documents/run/run1", ['revision' => $revision, 'content' => $more + [
        'id' => 'run1', 'assembly' => 'w1', 'years' => 1,
    ]])->assertSuccessful();
}

/** @return list<string> codes of the findings on the run */
function saidOfRun(string $path): array
{
    $findings = test()->getJson("$path/assessment")->assertOk()->json('findings');

    return array_values(array_column(
        array_filter($findings, fn (array $f): bool => $f['subject'] === 'runs/run1'),
        'code',
    ));
}

it('runs a wall on the queue, tells it in the project, and runs the same wall once', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    Queue::fake();
    keepRun($path);
    expect(saidOfRun($path))->toBe(['run.not-run']);
    $this->getJson("$path/runs")->assertOk()->assertJsonPath('0.state', 'none');
    $this->getJson("$path/runs/run1")->assertNotFound();
    $this->postJson("$path/runs/run1/start")->assertStatus(202)->assertJsonPath('state', 'queued');
    // Asked for twice, it is done once.
    $this->postJson("$path/runs/run1/start")->assertStatus(202);
    Queue::assertPushed(RunWall::class, 1);
    Queue::assertPushedOn(RunWall::QUEUE, RunWall::class);
    [$job] = Queue::pushed(RunWall::class)->all();
    app()->call([$job, 'handle']);
    $this->getJson("$path/runs")->assertJsonPath('0.state', 'done')->assertJsonPath('0.years_done', 1);
    // After one year what was built in is not out yet, and that is said beside it.
    expect(saidOfRun($path))->toEqualCanonicalizing(['run.no-mould', 'run.still-drying']);
    $picture = $this->getJson("$path/runs/run1")->assertOk()->json();
    expect($picture['frames'])->toHaveCount(120)
        ->and($picture['frames'][0])->toHaveCount(count($picture['depths_mm']))
        ->and(max(array_column(array_merge(...$picture['frames']), 1)))->toBeLessThan(101);
    // Another year is another run, and what was said of the old one is not said of it.
    keepRun($path, 1, ['years' => 2]);
    expect(saidOfRun($path))->toBe(['run.not-run']);
    keepRun($path, 2);
    expect(saidOfRun($path))->toContain('run.no-mould');
});

it('goes on after its last whole year where a worker was killed, and comes to the same', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    Queue::fake();
    keepRun($path, 0, ['years' => 2]);
    [$run, $climate, $indoors, $hash] = app(KeptRuns::class)->named($project, 'run1');
    $memory = null;
    $whole = WallResult::of($run, $climate, $indoors, function (int $year, Memory $after) use (&$memory): void {
        $memory ??= KeptRuns::write($after);
    });
    Run::create(['hash' => $hash, 'state' => RunState::Queued, 'years' => 2, 'doing' => '', 'memory' => $memory]);
    app()->call([new RunWall($project->id, 'run1', $hash), 'handle']);
    $resumed = app(KeptRuns::class)->find($hash);
    expect($resumed?->water)->toEqualWithDelta($whole->water, 1e-9)
        ->and($resumed?->interfaces)->toEqualWithDelta($whole->interfaces, 1e-9)
        ->and($resumed?->steadyAfter)->toBe($whole->steadyAfter);
});

it('stops where it is cancelled, takes up what failed again, and says why nothing can be run', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    Queue::fake();
    keepRun($path);
    $this->postJson("$path/runs/run1/cancel")->assertNotFound();
    $this->postJson("$path/runs/run1/start")->assertStatus(202);
    $this->postJson("$path/runs/run1/cancel")->assertOk()->assertJsonPath('state', 'cancelled');
    [$job] = Queue::pushed(RunWall::class)->all();
    app()->call([$job, 'handle']);
    expect(Run::first()?->state)->toBe(RunState::Cancelled)->and(Run::first()?->result)->toBeNull();
    $job->failed(new RuntimeException('late'));
    expect(Run::first()?->state)->toBe(RunState::Cancelled);
    $this->postJson("$path/runs/run1/start")->assertStatus(202)->assertJsonPath('state', 'queued');
    $job->failed(new RuntimeException('the machine stopped'));
    expect(Run::first()?->doing)->toContain('the machine stopped');
    $this->postJson("$path/runs/no-such/start")->assertNotFound();
    $sample = ['id' => 'run2', 'layers' => [['material' => 'clt', 'thickness_mm' => 100]], 'hours' => 1] + [
        'initial' => ['temperature_c' => 20, 'rh_pct' => 50],
        'left' => ['closed' => true],
        'right' => ['closed' => true],
    ];
    $this->putJson("$path/documents/run/run2", ['revision' => 0, 'content' => $sample])->assertSuccessful();
    $this->postJson("$path/runs/run2/start")->assertStatus(422);
});

it('makes the joints of a wall, best first, keeps one, and draws its temperatures', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $made = $this->postJson("$path/joints", ['assembly' => 'w1', 'kind' => 'unit'])->assertOk()->json();
    $psi = array_column($made, 'psi_w_mk');
    expect(count($made))->toBe(7)->and($psi)->toBe(collect($psi)->sort()->values()->all());
    $content = ['id' => 'cut1'] + $made[0]['content'];
    $this->putJson("$path/documents/plane-section/cut1", ['revision' => 0, 'content' => $content])->assertSuccessful();
    $told = $this->getJson("$path/assessment")->json('plane_sections.0');
    expect($told['psi_w_mk'])->toEqualWithDelta($made[0]['psi_w_mk'], 1e-6);
    $picture = $this->getJson("$path/plane-sections/cut1")->assertOk()->json();
    $celsius = array_filter(array_merge(...$picture['celsius']), fn (mixed $c): bool => $c !== null);
    expect($picture['coldest']['temperature'])->toEqualWithDelta($told['surface_min_c'], 1e-6)
        ->and(count($picture['celsius']))->toBe(count($picture['y_mm']))
        ->and(min($celsius))->toBeGreaterThanOrEqual(-0.001)
        ->and(max($celsius))->toBeLessThanOrEqual(20.001);
    foreach ([
        ['assembly' => 'nowhere', 'kind' => 'unit'],
        ['assembly' => 'w1', 'kind' => 'roof'],
        ['assembly' => 'w1', 'kind' => 'unit', 'frame_u' => 0],
        ['assembly' => 'w1', 'kind' => 'unit', 'inside_c' => 5, 'outside_c' => 5],
        ['assembly' => 'w1', 'kind' => 'parapet'],
        ['assembly' => 'w1', 'kind' => 'parapet', 'meets' => 'nowhere'],
    ] as $wrong) {
        $this->postJson("$path/joints", $wrong)->assertStatus(422);
    }
});

it('makes joints with a roof and with a floor, and counts one in what the building loses', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $asked = ['assembly' => 'w1', 'kind' => 'point', 'per_m2' => 8];
    [$screw] = $this->postJson("$path/joints", $asked)->assertOk()->json();
    expect($screw['content'])->toBeNull()
        ->and($screw['psi_w_mk'])->toBeNull()
        ->and($screw['chi_w_k'])->toBeGreaterThan(0.001)->toBeLessThan(0.01)
        ->and($screw['added_u_w_m2k'])->toEqualWithDelta(8 * $screw['chi_w_k'], 1e-12);
    foreach (['parapet' => 'r1', 'foot' => 'f1'] as $kind => $meets) {
        $made = $this->postJson("$path/joints", ['assembly' => 'w1'] + compact('kind', 'meets'))->assertOk()->json();
        expect(count($made))->toBe($kind === 'parapet' ? 3 : 2)->and($made[0]['content']['assembly'])->toBe('w1');
        $content = ['id' => "cut-$kind"] + $made[0]['content'];
        $this->putJson("$path/documents/plane-section/cut-$kind", ['revision' => 0, 'content' => $content])
            ->assertSuccessful();
        $psi[$kind] = $made[0]['psi_w_mk'];
    }
    $heat = fn (): array => $this->getJson("$path/assessment")->json('building');
    $before = $heat();
    $building = $this->getJson($path)->json('building.0');
    $joint = ['kind' => 'parapet', 'between' => ['w1', 'r1']];
    $content = $building['content'];
    $content['connections'] = [['joint' => $joint, 'section' => 'cut-parapet'], ...$content['connections'] ?? []];
    $this->putJson("$path/documents/building/{$building['key']}", [
        'revision' => $building['revision'],
        'content' => $content,
    ])->assertSuccessful();
    $after = $heat();
    $of = fn (array $told): array => array_values(array_filter(
        $told['joints'],
        fn (array $j): bool => $j['kind'] === 'parapet' && in_array('w1', $j['between'], true),
    ));
    expect($of($after))->not->toBe([]);
    foreach ($of($after) as $n => $now) {
        expect($now['psi_by'])->toBe('cut-parapet')
            ->and($now['psi_w_mk'])->toEqualWithDelta($psi['parapet'], 1e-9)
            ->and($of($before)[$n]['psi_by'])->toBe('class');
    }
    $metres = array_sum(array_column($of($after), 'length_m'));
    $changed = $metres * $psi['parapet'] - array_sum(array_map(
        fn (array $j): float => $j['length_m'] * $j['psi_w_mk'],
        $of($before),
    ));
    expect($after['heat']['loss_w_k'] - $before['heat']['loss_w_k'])->toEqualWithDelta($changed, 1e-3);
    // Computed anew with another number, what the building says follows.
    $section = collect($this->getJson($path)->json('plane_sections'))->firstWhere('key', 'cut-parapet');
    $section['content']['flanking'][0]['length_mm'] /= 2;
    $this->putJson("$path/documents/plane-section/cut-parapet", [
        'revision' => $section['revision'],
        'content' => $section['content'],
    ])->assertSuccessful();
    expect($of($heat())[0]['psi_w_mk'])->toBeGreaterThan($psi['parapet'] + 0.05);
});

it('keeps the hours that a weather file brought, runs a wall through them, and sends them with no page', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $lines = ['LOCATION,Measured,XX,NON,None,0,60.0,0.0,0.0,10.0'];
    foreach ([
        'DESIGN CONDITIONS,0', 'TYPICAL/EXTREME PERIODS,0', 'GROUND TEMPERATURES,0',
        'HOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0', 'COMMENTS 1,made up', 'COMMENTS 2,', 'DATA PERIODS,1',
    ] as $head) {
        $lines[] = $head;
    }
    foreach (Apron\Climate\Month::DAYS as $m => $days) {
        for ($h = 0; $h < 24 * $days; $h++) {
            $cells = array_fill(0, 35, '0');
            [$cells[1], $cells[3], $cells[6], $cells[8]] = [$m + 1, $h % 24 + 1, 4, 80];
            [$cells[20], $cells[21], $cells[33]] = [90, 4, $h % 50 === 0 ? 3 : 0];
            $lines[] = implode(',', $cells);
        }
    }
    $read = $this->post(
        "$path/climate",
        ['file' => Illuminate\Http\UploadedFile::fake()->createWithContent('m.epw', implode("\n", $lines))],
        ['Accept' => 'application/json'],
    )->assertOk()->json();
    $this->putJson("$path/documents/weather/weather", ['revision' => 0, 'content' => $read['weather']])
        ->assertSuccessful();
    $brief = $this->getJson($path)->json('brief');
    $this->putJson("$path/documents/brief/brief", [
        'revision' => $brief['revision'],
        'content' => ['climate' => $read['climate']] + $brief['content'],
    ])->assertSuccessful();
    // Their name goes with every page, and none of them.
    expect($this->getJson($path)->json('weather.0.content'))->toBe(['name' => 'Measured', 'latitude_deg' => 60])
        ->and($read['climate']['latitude_deg'])->toEqual(60);

    $run = ['id' => 'run1', 'assembly' => 'w1', 'years' => 1];
    $this->putJson("$path/documents/run/run1", ['revision' => 0, 'content' => $run])->assertSuccessful();
    $this->postJson("$path/runs/run1/start")->assertStatus(202);
    Illuminate\Support\Facades\Artisan::call('queue:work', ['--queue' => 'runs', '--stop-when-empty' => true]);
    $told = $this->getJson("$path/assessment?paths=none")->json('runs.0');
    expect($told['hours_of'])->toBe('Measured')->and($told['facing_deg'])->toEqual(90);
    // It comes with the project wherever that goes.
    $file = $this->getJson("$path/export.json")->json();
    expect($file['weather']['hours']['rh_pct'])->toHaveCount(8760);
    // Other hours: it has not been run through those.
    $weather = $this->getJson($path)->json('weather.0');
    $other = ['name' => 'Elsewhere'] + $read['weather'];
    $this->putJson("$path/documents/weather/weather", ['revision' => $weather['revision'], 'content' => $other])
        ->assertSuccessful();
    expect($this->getJson("$path/assessment?paths=none")->json('runs.0.interfaces'))->toBe([])
        ->and($this->getJson("$path/runs")->json('0.state'))->toBe('none');
});

it('runs what might make a run pass, tells what each comes to, and takes one over', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $work = fn () => Illuminate\Support\Facades\Artisan::call(
        'queue:work',
        ['--queue' => 'runs', '--stop-when-empty' => true],
    );
    $assembly = ['id' => 'w9', 'name' => 'Leaks', 'kind' => 'wall', 'layers' => [
        ['id' => 'a', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
        ['id' => 'b', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140],
        ['id' => 'c', 'material' => 'osb', 'thickness_mm' => 11],
        ['id' => 'd', 'material' => 'xps', 'thickness_mm' => 25],
    ]];
    $this->putJson("$path/documents/assembly/w9", ['revision' => 0, 'content' => $assembly])->assertSuccessful();
    $run = ['id' => 'run9', 'assembly' => 'w9', 'years' => 1, 'leak' => ['share' => 0.02, 'layer' => 'c']];
    $this->putJson("$path/documents/run/run9", ['revision' => 0, 'content' => $run])->assertSuccessful();
    // Nothing is known of it yet: nothing is to be cleared.
    $this->getJson("$path/runs/run9/cures")->assertOk()->assertExactJson([]);
    $this->postJson("$path/runs/run9/start")->assertStatus(202);
    $work();
    $before = $this->getJson("$path/runs/run9/cures")->assertOk()->json();
    expect(count($before))->toBeGreaterThan(2)
        ->and(array_unique(array_column(array_column($before, 'stand'), 'state')))->toBe(['none'])
        ->and(array_filter(array_column($before, 'clears')))->toBe([]);
    $this->postJson("$path/runs/run9/cures")->assertStatus(202);
    $work();
    $after = $this->getJson("$path/runs/run9/cures")->assertOk()->json();
    expect(array_column($after, 'title'))->toBe(array_column($before, 'title'));
    foreach ($after as $cure) {
        expect($cure['stand']['state'])->toBe('done')
            ->and($cure['clears'])->toBe($cure['says'] === null)
            ->and($cure['mould_index'])->toBeGreaterThanOrEqual(0.0);
    }
    // Taken over, the same run of it is what was told: its result is kept already.
    $best = collect($after)->sortBy('mould_index')->first();
    $revision = collect($this->getJson($path)->json('assemblies'))->firstWhere('key', 'w9')['revision'];
    $this->putJson("$path/documents/assembly/w9", ['revision' => $revision, 'content' => $best['content']])
        ->assertSuccessful();
    $this->getJson("$path/runs")->assertJsonPath('0.state', 'done');
    $told = collect($this->getJson("$path/assessment?paths=none")->json('runs'))->firstWhere('id', 'run9');
    expect(max(array_column($told['interfaces'], 'mould_index_max')))
        ->toBeGreaterThanOrEqual($best['mould_index'] - 1e-9);
});
