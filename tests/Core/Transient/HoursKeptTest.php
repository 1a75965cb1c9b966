<?php

declare(strict_types=1);

use Apron\Climate\Climate;
use Apron\Climate\Hour;
use Apron\Climate\HourlyYear;
use Apron\Climate\WeatherFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Project\Project;
use Apron\Project\Section\RunsSection;
use Apron\Project\Section\WeatherSection;
use Apron\Quantity\UnitSystem;
use Apron\Rules\RuleFigures;
use Apron\Rules\Words;
use Apron\Transient\Beyond;
use Apron\Transient\Reckoned;
use Apron\Transient\Weather;

beforeEach(fn () => Reckoned::keepIn(null));

/** A year of one hour over and over, with sun at noon and all its rain in one night from the east. */
function steadyYear(string $name): HourlyYear
{
    $hours = [];
    for ($h = 0; $h < HourlyYear::HOURS; $h++) {
        $hours[] = new Hour(5.0, 700.0, $h < 10 ? 3.0 : 0.0, 4.0, 90.0, $h % 24 === 12 ? 400.0 : 0.0);
    }

    return new HourlyYear($name, $hours, 60.0);
}

/** @return array<string, mixed> a project with a wall that is run for a year, and the hours of that name */
function withHours(?string $name): array
{
    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'Hours', 'units' => 'si'],
        'climate' => ['name' => 'Measured', 'months' => array_fill(0, 12, ['mean_c' => 9.0, 'rh_pct' => 70])],
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 40],
        'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => [
            ['id' => 'a', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
            ['id' => 'b', 'material' => 'mineral-wool-board', 'thickness_mm' => 100],
        ]]],
        'runs' => [['id' => 'r', 'assembly' => 'w', 'years' => 1]],
    ] + ($name === null ? [] : ['weather' => WeatherFormat::write(steadyYear($name))]);
}

function toldOfRun(Project $project): array
{
    [$assessed] = (new RunsSection)->assessed($project);

    return $assessed->toArray(new Words(UnitSystem::SI));
}

it('runs through the hours of the climate’s own weather file, and says whose they are', function () {
    $kept = toldOfRun(readProject(withHours('Measured')));
    $made = toldOfRun(readProject(withHours(null)));
    $other = toldOfRun(readProject(withHours('Elsewhere')));
    expect($kept['hours_of'])->toBe('Measured')
        ->and($made['hours_of'])->toBeNull()
        ->and($other['hours_of'])->toBeNull()
        // All the rain is from the east; the months say nothing of rain.
        ->and($kept['facing_deg'])->toBe(90.0)
        ->and($kept['rain_kg_m2'])->toBeGreaterThan(0.0)
        ->and($made['rain_kg_m2'])->toEqual(0.0)
        ->and($kept['layers'][0]['water_kg_m2'])->not->toEqual($made['layers'][0]['water_kg_m2']);
});

it('takes what the weather is of into the hash of a result', function () {
    $project = readProject(withHours('Measured'));
    $run = $project->of(RunsSection::class)['r'];
    $hash = fn (Climate $climate): string => Reckoned::hash($run, $climate, $project->brief->indoors);
    $climate = $project->brief->climate;
    $moved = new Climate($climate->name, $climate->months, latitude: 60.0);
    expect(array_unique([
        $hash($climate),
        $hash($moved),
        $hash(WeatherSection::climate($project)),
        $hash($climate->withHours(new HourlyYear('Measured', array_reverse(steadyYear('Measured')->hours)))),
    ]))->toHaveCount(4);
});

it('has the sun of its latitude on an upright face', function () {
    $project = readProject(withHours('Measured'));
    $assembly = $project->assemblies[0];
    $gets = function (float $latitude) use ($project, $assembly): float {
        $climate = $project->brief->climate->withHours(
            new HourlyYear('Measured', steadyYear('Measured')->hours, $latitude),
        );
        $weather = new Weather($assembly, $climate, $project->brief->indoors, 180.0);

        $sky = RuleFigures::of('transient')->figure('wall_sky_loss_w_m2');

        return array_sum(array_map(fn (Beyond $beyond): float => $beyond->radiation + $sky, $weather->outside));
    };
    // The lower the sun stands at noon, the more of what falls on the flat falls on a face to the south.
    expect($gets(60.0))->toBeGreaterThan(1.3 * $gets(30.0));
});

it('writes the hours as they were read, and leaves out what was not measured', function () {
    $year = steadyYear('Measured');
    $again = WeatherFormat::read(Node::of(WeatherFormat::write($year)));
    expect($again->latitude)->toBe(60.0)->and(count($again->hours))->toBe(8760);
    foreach ([0, 12, 8759] as $h) {
        expect($again->hours[$h]->celsius)->toBe(5.0)
            ->and($again->hours[$h]->vapourPressure)->toEqualWithDelta(700.0, 0.5)
            ->and($again->hours[$h]->rain)->toBe($year->hours[$h]->rain);
    }
    $hours = $year->hours;
    $hours[7] = new Hour(5.0, 700.0, null, 4.0, 90.0, 0.0);
    $written = WeatherFormat::write(new HourlyYear('x', $hours));
    expect($written['hours'])->not->toHaveKey('rain_mm')->toHaveKey('wind_m_s');
});

it('refuses hours that are no year, with their place', function (callable $wrong, string $pointer) {
    $file = $wrong(withHours('Measured'));
    try {
        readProject($file);
        $refused = 'nothing';
    } catch (FileRefused $no) {
        $refused = $no->pointer;
    }
    expect($refused)->toBe($pointer);
})->with([
    'an hour short' => [
        function (array $file): array {
            array_pop($file['weather']['hours']['rh_pct']);

            return $file;
        },
        '/weather/hours/rh_pct',
    ],
    'a day of 200 °C' => [
        function (array $file): array {
            $file['weather']['hours']['temperature_c'][4000] = 200;

            return $file;
        },
        '/weather/hours/temperature_c/4000',
    ],
    'words' => [
        function (array $file): array {
            $file['weather']['hours']['wind_m_s'][3] = 'calm';

            return $file;
        },
        '/weather/hours/wind_m_s/3',
    ],
    'no hours' => [
        function (array $file): array {
            unset($file['weather']['hours']);

            return $file;
        },
        '/weather/hours',
    ],
]);
