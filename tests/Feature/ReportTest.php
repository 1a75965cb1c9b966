<?php

declare(strict_types=1);

use App\Jobs\PrintReport;
use App\Models\Report;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

it('puts a report on the queue and tells how far it has come', function () {
    Queue::fake();
    [$project, $consultant] = practice();
    $id = $this->actingAs($consultant)
        ->postJson("/api/projects/{$project->id}/reports")
        ->assertStatus(202)
        ->assertJson(['state' => 'queued', 'percent' => 0])
        ->json('id');
    Queue::assertPushed(PrintReport::class, 1);
    $this->getJson("/api/reports/$id")
        ->assertOk()
        ->assertJson(['state' => 'queued', 'by' => $consultant->name]);
    $this->getJson("/api/reports/$id/file")->assertNotFound();
});

it('does not print what was cancelled, and cancels nothing that is done', function () {
    Storage::fake('files');
    [$project, $consultant] = practice();
    $report = Report::create([
        'project_id' => $project->id,
        'by' => 'x',
        'state' => 'queued',
        'percent' => 0,
        'doing' => '',
    ]);
    $this->actingAs($consultant)
        ->postJson("/api/reports/{$report->id}/cancel")
        ->assertJson(['state' => 'cancelled']);
    PrintReport::dispatchSync($report->id);
    expect($report->fresh()->state->value)->toBe('cancelled')->and(Storage::allFiles())->toBe([]);
    $report->update(['state' => 'done']);
    $this->postJson("/api/reports/{$report->id}/cancel")->assertJson(['state' => 'done']);
});

it('says why the printer stopped', function () {
    [$project] = practice();
    $report = Report::create([
        'project_id' => $project->id,
        'by' => 'x',
        'state' => 'printing',
        'percent' => 20,
        'doing' => '',
    ]);
    (new PrintReport($report->id))->failed(new RuntimeException('no paper'));
    expect($report->fresh()->only('state', 'doing'))->toBe([
        'state' => App\Models\ReportState::Failed,
        'doing' => 'the printer stopped: no paper',
    ]);
});

it('shows the printer everything the report is made of, and no more than data', function () {
    Storage::fake('files');
    $this->withoutVite();
    [$project] = practice();
    $brief = $project->documents()->where('kind', 'brief')->firstOrFail();
    $brief->update(['content' => str_replace('Sallow Lake Library', '</script><b>Sallow', $brief->content)]);
    $report = Report::create([
        'project_id' => $project->id,
        'by' => 'x',
        'state' => 'printing',
        'percent' => 20,
        'doing' => '',
    ]);
    $html = $this->get(
        Illuminate\Support\Facades\URL::temporarySignedRoute('print', now()->addMinute(), ['report' => $report->id]),
    )
        ->assertOk()
        ->getContent();
    expect(substr_count($html, '</script>'))->toBe(1)->and($html)->not->toContain('<b>Sallow');
    preg_match('#<script type="application/json" id="sheet">(.*)</script>#s', $html, $m);
    $sheet = json_decode($m[1], true);
    expect($sheet['file']['project']['name'])
        ->toBe('</script><b>Sallow, extension')
        ->and(array_column($sheet['assessment']['assemblies'], 'id'))
        ->toBe(['w1', 'w2', 'w2.a', 'w2.b', 'w2.c', 'r1', 'f1', 'b1'])
        ->and($sheet['sequences'][0]['steps'])
        ->toHaveCount(10)
        ->and($sheet['site']['checks'])
        ->toHaveCount(96);
});

it(
    'prints a long schedule as a table and one sheet for each kind, and the cards of any one opening alone',
    function () {
        $this->withoutVite();
        [$project, $consultant] = practice();
        foreach (range(1, 30) as $i) {
            $row = [
                'id' => "s$i",
                'title' => "S $i",
                'generator' => $i % 3 === 0 ? 'flanged-unit-in-fluid' : 'strapped-unit-in-self-adhered',
                'parameters' => ['width_mm' => 600 + 10 * $i, 'height_mm' => 1200, 'depth_mm' => 140],
            ];
            $this->actingAs($consultant)
                ->putJson("/api/projects/{$project->id}/documents/opening/s$i", ['revision' => 0, 'content' => $row])
                ->assertOk();
        }
        $printed = function (?string $cards) use ($project): array {
            $report = Report::create([
                'project_id' => $project->id,
                'by' => 'x',
                'cards' => $cards,
                'state' => 'printing',
                'percent' => 20,
                'doing' => '',
            ]);
            $html = $this->get(
                Illuminate\Support\Facades\URL::temporarySignedRoute('print', now()->addMinute(), [
                    'report' => $report->id,
                ]),
            )
                ->assertOk()
                ->getContent();
            preg_match('#<script type="application/json" id="sheet">(.*)</script>#s', $html, $m);

            return json_decode($m[1], true);
        };
        $sheet = $printed(null);
        $own = ['d2', 'd3', 'd4', 'd5', 'o4'];
        $drawn = array_map(fn (array $s) => $s['detail']['id'], $sheet['sequences']);
        // The demo's own details, one of each kind of its openings, and the two kinds of these thirty.
        expect($drawn)
            ->toContain('s1', 's3', 'o2', ...$own)
            ->not->toContain('s2', 's30')
            ->and($sheet['schedule'])
            ->toHaveCount(33)
            ->and(array_column($sheet['schedule'], 'as', 'id'))
            ->toMatchArray(['s1' => 's1', 's2' => 's1', 's30' => 's3'])
            ->and(array_column($sheet['schedule'], 'sizes_mm', 'id')['s30'])
            ->toEqual([900, 1200, 140])
            ->and(array_column($sheet['schedule'], 'worst', 'id')['s2'])
            ->toBe('shed')
            ->and($sheet['assessment'])
            ->not->toHaveKey('details');
        $cards = $printed('s2');
        expect(array_map(fn (array $s) => $s['detail']['id'], $cards['sequences']))
            ->toBe(['s2'])
            ->and($cards)
            ->not->toHaveKey('assessment')
            ->and($cards['units'])
            ->toBe('si');
    },
);

it(
    'gives the assessment without the paths of its details to every sheet, kept until something changes, and whole to a program',
    function () {
        [$project, $consultant] = practice();
        $this->actingAs($consultant);
        $whole = $this->getJson("/api/projects/{$project->id}/assessment?units=si")
            ->assertOk()
            ->json();
        $slim = $this->getJson("/api/projects/{$project->id}/assessment?units=si&paths=none")
            ->assertOk()
            ->json();
        expect($whole['details'][0]['strips'])
            ->not->toBe([])
            ->and($slim)
            ->toEqual(array_diff_key($whole, ['details' => true, 'contacts' => true]));
        $kept = fn (): array => DB::table('assessments')
            ->where('project_id', $project->id)
            ->orderBy('id')
            ->pluck('hash', 'key')
            ->all();
        $before = $kept();
        $this->getJson("/api/projects/{$project->id}/assessment?units=si&paths=none")->assertOk();
        expect($kept())->toBe($before);

        // One wall changed: it is assessed anew, the others are put together from what is kept.
        $wall = contentOf($project->documents()->where('key', 'w1')->firstOrFail());
        $wall['layers'][2]['thickness_mm'] = 20;
        $this->putJson("/api/projects/{$project->id}/documents/assembly/w1", [
            'revision' => 1,
            'content' => $wall,
        ])->assertOk();
        $after = $this->getJson("/api/projects/{$project->id}/assessment?units=si&paths=none")
            ->assertOk()
            ->json();
        expect(array_keys(array_diff_assoc($kept(), $before)))
            ->toBe(['w1', ''])
            ->and($after)
            ->toEqual(
                array_diff_key($this->getJson("/api/projects/{$project->id}/assessment?units=si")->json(), [
                    'details' => true,
                    'contacts' => true,
                ]),
            );

        // A material changed: what is made of it is, too.
        $board = contentOf(
            $project
                ->documents()
                ->where(['kind' => 'material', 'key' => $wall['layers'][2]['material']])
                ->firstOrFail(),
        );
        $this->putJson("/api/projects/{$project->id}/documents/material/{$board['id']}", [
            'revision' => 1,
            'content' => ['conductivity_w_mk' => 0.2] + $board,
        ])->assertOk();
        $changed = $this->getJson("/api/projects/{$project->id}/assessment?units=si&paths=none")
            ->assertOk()
            ->json();
        expect($changed)
            ->not->toEqual($after)
            ->and($changed)
            ->toEqual(
                array_diff_key($this->getJson("/api/projects/{$project->id}/assessment?units=si")->json(), [
                    'details' => true,
                    'contacts' => true,
                ]),
            );

        // So it is with the brief, which everything stands on, and with a wall that is taken out.
        $whole = fn (): array => array_diff_key(
            $this->getJson("/api/projects/{$project->id}/assessment?units=si")->json(),
            ['details' => true, 'contacts' => true],
        );
        $slim = fn (): array => $this->getJson("/api/projects/{$project->id}/assessment?units=si&paths=none")->json();
        $brief = contentOf($project->documents()->where('kind', 'brief')->sole());
        $brief['indoor'] = ['kind' => 'fixed', 'temperature_c' => 22, 'rh_pct' => 55];
        $this->putJson("/api/projects/{$project->id}/documents/brief/brief", [
            'revision' => 1,
            'content' => $brief,
        ])->assertOk();
        expect($slim())->toEqual($whole())->not->toEqual($changed);
        $this->deleteJson("/api/projects/{$project->id}/documents/assembly/w1", ['revision' => 2])->assertNoContent();
        expect($slim())->toEqual($whole())->and(array_column($slim()['assemblies'], 'id'))->not->toContain('w1');
    },
);
