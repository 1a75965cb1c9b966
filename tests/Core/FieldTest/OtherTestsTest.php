<?php

declare(strict_types=1);

use Apron\FieldTest\MoistureTest;
use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

/** @return array<string, mixed> a project of one test */
function ofOneTest(array $sheet, array $more = []): array
{
    return $more + [
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'tests' => [$sheet + ['id' => 't1']],
    ];
}

/** @return array{array<string, mixed>, array<string, string>} what it comes to, and its findings with their weight */
function testTold(array $sheet, array $more = []): array
{
    $assessed = new Assessment(readProject(ofOneTest($sheet, $more)));
    $told = json_decode(json_encode($assessed->toArray(new Words(UnitSystem::SI))), true);

    return [$told['tests'][0], array_column($told['findings'], 'severity', 'code')];
}

/** @return array<string, array{array<string, mixed>}> */
function fieldTestCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/cases.json'), true)['cases'];

    return array_column(array_map(fn (array $case): array => [$case['id'], [$case]], $cases), 1, 0);
}

it('judges each case as the one who signs it would', function (array $case) {
    [$told, $findings] = testTold($case['sheet']);
    expect($told['verdict'])->toBe($case['verdict'])->and($told['why'])->toBe($case['wrong'] ?? []);
    foreach ($case['figures'] ?? [] as $name => $figure) {
        expect($told[$name])->toEqualWithDelta($figure, 0.0006 * max(1.0, abs($figure)));
    }
    $worst = ['pass' => [], 'fail' => ['fail'], 'not valid' => ['caution']][$case['verdict']];
    expect(array_values(array_unique($findings)))->toBe($worst);
})->with(fieldTestCases());

it('fails nothing by readings that are made up', function (array $case) {
    [$told, $findings] = testTold($case['sheet'] + ['simulated' => true]);
    expect($told['simulated'])->toBeTrue()->and(array_values($findings))->not->toContain('fail');
})->with(fieldTestCases());

it('is read and written without loss', function (array $case) {
    $head = ['title' => 'T', 'date' => '2027-05-01', 'stage' => 'before-cover', 'by_person' => 'I. C.'] +
        ['instrument' => 'No. 7', 'calibrated' => '2027-01-10', 'place' => 'hall.wall.0'];
    $once = ProjectFormat::write(readProject(ofOneTest($case['sheet'] + $head)));
    $again = ProjectFormat::write(readProject(json_decode($once, true)));
    expect($again)->toBe($once);
    foreach ($head + $case['sheet'] as $key => $value) {
        $written = json_decode($once, true)['tests'][0];
        $isUsual = $key === 'most_pct' || $value === [] || $value === false;
        expect($isUsual || json_encode($written[$key] ?? null) == json_encode($value))->toBeTrue("$key is lost");
    }
})->with(fieldTestCases());

it('takes pins for what they stand for at the temperature of the wood', function () {
    // Worked in another language by the formula of Pfaff and Garrahan, 1986, as it is remembered.
    foreach ([[14, 20, 14.280146], [16, 20, 16.310392], [18, 5, 20.352514], [20, 35, 18.409211]] as [$read, $c, $is]) {
        expect(MoistureTest::atTemperature($read, $c))->toEqualWithDelta($is, 1e-6);
    }
    // About 21 °C it is the reading itself; colder wood reads drier than it is, warmer wetter.
    expect(MoistureTest::atTemperature(15, 21))
        ->toEqualWithDelta(15, 0.25)
        ->and(MoistureTest::atTemperature(15, 2))
        ->toBeGreaterThan(16.5)
        ->and(MoistureTest::atTemperature(15, 38))
        ->toBeLessThan(14.0);
});

it('says whether water came in where the rain trace expects it', function () {
    $opening = ['id' => 'o', 'title' => 'O', 'generator' => 'strapped-unit-in-fastened-sheet'] +
        ['parameters' => ['width_mm' => 1200, 'height_mm' => 1200, 'depth_mm' => 150]];
    $ran = fn (string $facet): array => [
        'kind' => 'water', 'by' => 'spray', 'area_m2' => 1.0, 'flow_l_min' => 3.4, 'place' => 'o',
        'runs' => [
            ['where' => 'all', 'minutes' => 15, 'seen' => ['after_min' => 3, 'words' => 'wet'] + compact('facet')],
        ],
    ];
    [$told] = testTold($ran('sill'), ['openings' => [$opening]]);
    expect($told['expected'])->not->toBe([]);
    foreach ($told['expected'] as $facet => $outcome) {
        [, $findings] = testTold($ran($facet), ['openings' => [$opening]]);
        $isDry = in_array($outcome, ['shed', 'recovered'], true);
        expect($findings)
            ->toHaveKey($isDry ? 'test.water-elsewhere' : 'test.water-as-expected')
            ->and($findings['test.water-failed'])
            ->toBe('fail');
    }
    // Nothing runs to the head of this one from inside: water there was let in by what was built.
    expect($told['expected'])->toHaveKey('head', 'shed');
    [, $elsewhere] = testTold(['place' => 'gone'] + $ran('sill'), ['openings' => [$opening]]);
    expect(array_keys($elsewhere))->toContain('test.water-failed')->not->toContain('test.water-elsewhere');
});

it('refuses what is no test at all, with its place', function (array $sheet, string $pointer) {
    expect(fn () => readProject(ofOneTest($sheet)))->toThrow(FileRefused::class, $pointer);
})->with([
    'a kind that nobody knows' => [['kind' => 'thumb'], '/tests/0/kind'],
    'a dolly of nothing' => [
        ['kind' => 'adhesion', 'by' => 'pull-off', 'dolly_mm' => 0, 'least_mpa' => 1, 'readings' => []],
        '/tests/0/dolly_mm',
    ],
    'a mode that nobody knows' => [
        ['kind' => 'adhesion', 'by' => 'peel', 'width_mm' => 100, 'least_n_mm' => 1] +
            ['readings' => [['force_n' => 1, 'mode' => 'odd']]],
        '/tests/0/readings/0/mode',
    ],
    'a peel without its width' => [
        ['kind' => 'adhesion', 'by' => 'peel', 'least_n_mm' => 1, 'readings' => []],
        '/tests/0/width_mm',
    ],
    'a reading of another way of pulling' => [
        ['kind' => 'adhesion', 'by' => 'tail', 'gauge_mm' => 25, 'least_pct' => 250] +
            ['readings' => [['force_n' => 1, 'mode' => 'cohesive']]],
        '/tests/0/readings/0/force_n',
    ],
    'minutes of nothing' => [
        ['kind' => 'water', 'by' => 'spray', 'runs' => [['where' => 'x', 'minutes' => 0]]],
        '/tests/0/runs/0/minutes',
    ],
    'moisture of a colour' => [['kind' => 'moisture', 'of' => 'red', 'wood_c' => 20, 'readings' => []], '/tests/0/of'],
    'a spot without readings' => [
        ['kind' => 'film', 'least_um' => 300, 'area_m2' => 10, 'spots' => [[]]],
        '/tests/0/spots/0',
    ],
    'a pressure beyond a fan' => [['kind' => 'smoke', 'by' => 'smoke', 'pressure_pa' => 9000], '/tests/0/pressure_pa'],
]);
