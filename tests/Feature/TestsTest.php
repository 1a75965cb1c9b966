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
