<?php

declare(strict_types=1);

use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Cure\CureSearch;
use Apron\Cure\RunCures;
use Apron\Project\Project;
use Apron\Project\Section\RunsSection;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;
use Apron\Transient\Leak;
use Apron\Transient\Reckoned;
use Apron\Transient\WallAssessment;
use Apron\Transient\WallResult;
use Apron\Transient\WallRun;

beforeEach(fn () => Reckoned::keepIn(null));

/** A wall of wood whose sheathing a leak wets faster than the foam outside lets it dry. */
function leakingWall(): Project
{
    $climate = (new GenericClimates)->named('cold humid (made up)') ?? throw new LogicException('no climate');

    return readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'Leaks', 'units' => 'si'],
        'climate' => ClimateFormat::writeClimate($climate),
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 40],
        'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => [
            ['id' => 'a', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
            ['id' => 'b', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140],
            ['id' => 'c', 'material' => 'osb', 'thickness_mm' => 11],
            ['id' => 'd', 'material' => 'xps', 'thickness_mm' => 25],
        ]]],
        'runs' => [[
            'id' => 'r', 'assembly' => 'w', 'years' => 1, 'leak' => ['share' => 0.01, 'layer' => 'c'],
        ]],
    ]);
}

it('tries changes of the trade on a run that fails, keeps its leak where it was, and finds some that clear it', function () {
    $project = leakingWall();
    $run = $project->of(RunsSection::class)['r'];
    $climate = $project->brief->climate;
    $says = fn (WallRun $run): WallAssessment => new WallAssessment(
        $run,
        WallResult::of($run, $climate, $project->brief->indoors),
    );
    $finding = $says($run)->worst();
    expect($finding)->not->toBeNull();
    $cures = RunCures::of($run, $finding, $project->brief, $project->materials);
    $words = new Words(UnitSystem::SI);
    $titles = array_map(fn ($cure): string => CureSearch::title($cure->cure, $words), $cures);
    expect(count($cures))->toBeGreaterThan(3)->toBeLessThanOrEqual(20)
        ->and(array_unique($titles))->toHaveCount(count($titles));
    foreach ($cures as $cure) {
        $layer = $cure->run->assembly->layers[$cure->run->leak->layer];
        expect($layer->id)->toBe('c')->and($cure->run->leak->share)->toBe(0.01);
    }
    // Some of them help and some do not: each is run and none is believed.
    $before = $says($run)->mouldMost();
    $after = array_map(fn ($cure): ?float => $says($cure->run)->mouldMost(), array_slice($cures, 0, 6));
    expect(min($after))->toBeLessThan($before);
});

it('runs no change that takes away the layer that it speaks of', function () {
    $run = leakingWall()->of(RunsSection::class)['r'];
    $layers = $run->assembly->layers;
    $without = fn (int $n): ?WallRun => $run->in(
        $run->assembly->withLayers(array_values(array_diff_key($layers, [$n => true]))),
    );
    expect($without(2))->toBeNull()
        ->and($without(0)?->leak)->toEqual(new Leak(0.01, 1))
        ->and($without(3)?->leak)->toEqual(new Leak(0.01, 2));
});
