<?php

declare(strict_types=1);

use Sabre\VObject\Reader;

beforeEach(function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/$project->id";
});

it('gives the plan to calendars: whole days, and the evenings by which something must be covered', function () {
    $answer = $this->get("{$this->path}/plan.ics")->assertOk();
    expect($answer->headers->get('content-type'))->toStartWith('text/calendar');
    $calendar = Reader::read($answer->getContent());
    $events = [];
    foreach ($calendar->VEVENT as $event) {
        $events[(string) $event->UID] = $event;
    }
    $boards = $events['task-stacks.w2.4@plan.apron'];
    expect((string) $boards->DTSTART)
        ->toBe('20270720')
        // The morning after its last day.
        ->and((string) $boards->DTEND)
        ->toBe('20270724')
        ->and((string) $boards->SUMMARY)
        ->toContain('Mineral wool board')
        ->and((string) $events['clock-stacks.w2.3@plan.apron']->DTSTART)
        ->toBe('20270713')
        ->and((string) $events['task-stacks.w2.seen@plan.apron']->DESCRIPTION)
        ->toContain('hold point');
});

it('gives the plan as CSV that a sheet reads, and reckons nothing of', function () {
    $documents = $this->getJson($this->path)->json('plan.0');
    $content = $documents['content'];
    $content['tasks'][0]['title'] = '=SUM(A1:A9)';
    $this->putJson("{$this->path}/documents/plan/plan", [
        'revision' => $documents['revision'],
        'content' => $content,
    ])->assertOk();
    $csv = $this->get("{$this->path}/plan.csv")->assertOk()->getContent();
    $rows = array_map(
        fn (string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim(substr($csv, 3))),
    );
    expect(substr($csv, 0, 3))
        ->toBe("\u{FEFF}")
        ->and($rows[0])
        ->toContain('task', 'from', 'to', 'float days')
        ->and($rows[1][1])
        ->toBe("'=SUM(A1:A9)")
        ->and(count($rows))
        ->toBe(17);
});

it('proposes a plan of the building from a day, and nothing of a project without one', function () {
    $plan = $this->getJson("{$this->path}/plan/proposed?start=2027-04-05")->assertOk()->json();
    expect($plan['start'])
        ->toBe('2027-04-05')
        ->and(array_column($plan['tasks'], 'id'))
        ->toContain('stacks.w2.3', 'reading.w1.set');
    $this->getJson("{$this->path}/plan/proposed?start=soon")->assertUnprocessable();
    $this->getJson("{$this->path}/plan/proposed")->assertUnprocessable();
});

it('refuses a plan that goes round, at its place, and keeps the one that was', function () {
    $documents = $this->getJson($this->path)->json('plan.0');
    $content = $documents['content'];
    $content['tasks'][0]['after'] = [['task' => 'stacks.w2.4']];
    $this->putJson("{$this->path}/documents/plan/plan", [
        'revision' => $documents['revision'],
        'content' => $content,
    ])
        ->assertUnprocessable()
        ->assertJsonPath('pointer', '/plan/tasks/0/after');
    expect($this->getJson($this->path)->json('plan.0.revision'))->toBe($documents['revision']);
});

it('has a fortnight from the simulated station, marked, the same whenever it is asked for', function () {
    $ask = fn (string $start): array => $this->getJson("{$this->path}/plan/forecast?start=$start")->assertOk()->json();
    $first = $ask('2027-04-23');
    $later = $ask('2027-04-26');
    expect($first['forecast_by'])
        ->toBe('simulated-station')
        ->and($first['forecast'])
        ->toHaveCount(14)
        ->and($first['forecast'][3])
        ->toBe($later['forecast'][0]);
    $plan = $this->getJson($this->path)->json('plan.0');
    $this->putJson("{$this->path}/documents/plan/plan", [
        'revision' => $plan['revision'],
        'content' => [...$plan['content'], ...$first],
    ])->assertOk();
    $calendar = $this->getJson("{$this->path}/assessment")->json('calendar');
    expect(array_unique(array_column($calendar['weather'], 'by')))->toBe(['simulated-station']);
});

it('has days about the mean of their month, and as much rain as it has', function () {
    $month = new Apron\Climate\Month(8.0, 70.0, rain: 60.0, wind: 5.0, dailySwing: 4.0);
    $days = (new App\Station\SimulatedStation(5))->forecast(0, 3000, array_fill(0, 12, $month));
    $mean = fn (Closure $of): float => array_sum(array_map($of, $days)) / count($days);
    expect($mean(fn ($day): float => $day->mean()))
        ->toEqualWithDelta(8.0, 0.3)
        ->and($mean(fn ($day): float => $day->rain * 30))
        ->toEqualWithDelta(60.0, 6.0)
        ->and(min(array_map(fn ($day): float => $day->high - $day->low, $days)))
        ->toBeGreaterThan(0.0)
        // A dry day follows a dry one more often than not, and no two days in a row are strangers.
        ->and($mean(fn ($day): float => $day->rain > 0 ? 1.0 : 0.0))
        ->toEqualWithDelta(1 / 3, 0.05);
});
