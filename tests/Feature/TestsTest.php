<?php

declare(strict_types=1);

use App\Station\SimulatedFan;
use Apron\FieldTest\FanAssessment;
use Apron\FieldTest\TestFormat;
use Apron\Json\Node;

it('runs the simulated fan, marked, and keeps what it read as a test', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $run = $this->getJson("$path/tests/run")->assertOk()->json();
    expect($run['simulated'])->toBeTrue()->and($run['points'])->toHaveCount(6);
    $content = ['id' => 'f2', 'kind' => 'fan', 'indoor_c' => 20, 'outdoor_c' => 5] + $run;
    $this->putJson("$path/documents/test/f2", ['revision' => 0, 'content' => $content])->assertSuccessful();
    $told = array_column($this->getJson("$path/assessment")->assertOk()->json('tests'), null, 'id');
    expect($told['f2']['simulated'])
        ->toBeTrue()
        // Size and target are those of the building and the brief.
        ->and($told['f2']['n50_1_h'])
        ->toBeGreaterThan(0.1);
});

it('tells the mean of both ways anew when either test changes, in what is kept and in a draft', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id";
    $put = fn (string $id, int $revision, array $more) => $this->putJson(
        "$path/documents/test/$id",
        ['revision' => $revision, 'content' => $more + ['id' => $id, 'kind' => 'fan', 'date' => '2027-05-01'] + [
            'indoor_c' => 20,
            'outdoor_c' => 20,
            'volume_m3' => 500,
            'envelope_m2' => 600,
        ]],
    )->assertSuccessful();
    $points = fn (int $way, float $leak): array => array_map(
        fn (int $pa): array => ['pressure_pa' => $way * $pa, 'flow_m3_h' => round($leak * $pa ** 0.65, 2)],
        [10, 20, 30, 40, 50, 60],
    );
    $kept = function () use ($path): array {
        $told = array_column($this->getJson("$path/assessment")->assertOk()->json('tests'), null, 'id');

        return [$told['a']['both_ways'], $told['a']['q50_m3_h'], ($told['b'] ?? ['q50_m3_h' => null])['q50_m3_h']];
    };
    $out = ['points' => $points(-1, 50.0), 'other_way' => 'b'];
    $put('a', 0, $out);
    expect($kept()[0])->toBeNull();
    $put('b', 0, ['points' => $points(1, 60.0)]);
    [$both, $one, $other] = $kept();
    expect($both['q50_m3_h'])->toEqualWithDelta(($one + $other) / 2, 1e-6);
    $put('b', 1, ['points' => $points(1, 70.0)]);
    [$anew, $one, $other] = $kept();
    expect($anew['q50_m3_h'])->toEqualWithDelta(($one + $other) / 2, 1e-6)->toBeGreaterThan($both['q50_m3_h']);
    $content = $out + ['id' => 'a', 'kind' => 'fan', 'date' => '2027-05-01', 'indoor_c' => 20, 'outdoor_c' => 20];
    $draft = $this->postJson("$path/assess", ['kind' => 'test', 'content' => $content, 'units' => 'si'])->assertOk();
    expect(array_column($draft->json('tests'), null, 'id')['a']['both_ways']['with'])->toBe('b');
    // Either names the other: what is stored of the draft is not read beside it.
    $put('b', 2, ['points' => $points(1, 70.0), 'other_way' => 'a']);
    $draft = $this->postJson("$path/assess", ['kind' => 'test', 'content' => $content, 'units' => 'si'])->assertOk();
    expect(array_column($draft->json('tests'), null, 'id')['a']['both_ways']['with'])->toBe('b');
});

it('finds the leak again that was put in, within its interval, 90 times of 100 and more', function () {
    $held = 0;
    for ($seed = 1; $seed <= 100; $seed++) {
        $sheet = TestFormat::read(Node::of(
            ['id' => 'f', 'kind' => 'fan', 'indoor_c' => 20, 'outdoor_c' => 20] + (new SimulatedFan($seed))->run(900.0),
        ));
        $told = (new FanAssessment($sheet))->toArray(new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI));
        expect($told['verdict'])->toBe('pass');
        [$low, $high] = $told['q50_95_m3_h'];
        $held += $low <= 900.5 && $high >= 899.5 ? 1 : 0;
    }
    expect($held)->toBeGreaterThanOrEqual(90);
});

it('reads the simulated gauges, marked, about what is true, with the defect among them', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $path = "/api/projects/$project->id/tests/read";
    foreach (App\Station\GaugeKind::cases() as $kind) {
        $read = $this->getJson("$path?gauge={$kind->value}&count=24")->assertOk()->json();
        [$true, $noise, $defect] = App\Station\SimulatedGauge::truth($kind);
        $near = fn (float $of): int => count(
            array_filter($read['readings'], fn (float $v): bool => abs($v - $of) <= $noise + 0.05),
        );
        expect($read['simulated'])->toBeTrue()->and([$near($true), $near($defect)])->toBe([21, 3]);
    }
    $this->getJson("$path?gauge=colour&count=3")->assertStatus(422);
    // A seed is had again.
    $again = fn (): array => (new App\Station\SimulatedGauge(7))->read(App\Station\GaugeKind::Pins, 9);
    expect($again())->toBe($again());
});

it('keeps a test of each kind, and says what it comes to', function () {
    [$project, $consultant] = practice();
    $this->actingAs($consultant);
    $cases = json_decode((string) file_get_contents(base_path('tests/Core/FieldTest/cases.json')), true)['cases'];
    foreach (['water-in', 'smoke-leaks', 'pull-lets-go', 'film-thick', 'pins-cold'] as $i => $case) {
        $sheet = array_column($cases, 'sheet', 'id')[$case];
        $this->putJson("/api/projects/$project->id/documents/test/k$i", [
            'revision' => 0,
            'content' => ['id' => "k$i"] + $sheet,
        ])->assertSuccessful();
    }
    $told = $this->getJson("/api/projects/$project->id/assessment")->assertOk()->json('tests');
    expect(array_column($told, 'verdict', 'kind'))->toMatchArray([
        'water' => 'fail',
        'smoke' => 'fail',
        'adhesion' => 'fail',
        'film' => 'pass',
        'moisture' => 'fail',
    ]);
    $cards = array_column($this->getJson('/api/procedures')->assertOk()->json(), 'cards', 'kind');
    expect(array_keys($cards))->toBe(array_column(Apron\FieldTest\TestKind::cases(), 'value'));
});
