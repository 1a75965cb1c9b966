<?php

declare(strict_types=1);

use Apron\Project\Section\RunsSection;
use Apron\Rules\Severity;
use Apron\Transient\Reckoned;
use Apron\Transient\WallAssessment;
use Apron\Transient\WallResult;

beforeEach(fn () => Reckoned::keepIn(null));

it('judges a mould index by what it comes to, and by whether it stays there', function (array $case) {
    $run = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'R', 'units' => 'si'],
        'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => [
            ['id' => 'a', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
            ['id' => 'b', 'material' => 'osb', 'thickness_mm' => 11],
        ]]],
        'runs' => [['id' => 'r', 'assembly' => 'w', 'years' => 3]],
    ])->of(RunsSection::class)['r'];
    // Each year goes up to its peak in spring and down to nine tenths of it.
    $months = array_merge(...array_map(
        fn (float $peak): array => [...array_fill(0, 4, $peak), ...array_fill(0, 8, 0.9 * $peak)],
        $case['peaks'],
    ));
    $face = fn (int $at, array $index): array => [
        'interface' => $at, 'position_mm' => 0.0, 'mould_index_max' => max($index), 'mould_class' => 'sensitive',
        'hours_over_80' => 100, 'hours_rusting' => 0, 'mould_index' => $index,
    ];
    $made = Closure::bind(fn (mixed ...$said): WallResult => new WallResult(...$said), null, WallResult::class);
    $result = $made(
        layers: [], interfaces: [$face(0, array_fill(0, count($months), 0.0)), $face(1, $months), $face(2, $months)],
        water: array_fill(0, count($case['peaks']) + 1, 1.0), steadyAfter: 1, error: 0.0, heatError: 0.0, facing: 0.0,
        rain: 0.0, years: count($case['peaks']), cut: null, picture: [], hoursOf: null,
    );
    $findings = (new WallAssessment($run, $result))->findings();
    $said = array_column($findings, null, 'code');
    $mould = array_values(preg_grep('/mould/', array_keys($said)));
    expect($mould)->toBe([$case['code']]);
    if (isset($case['years'])) {
        expect($said['run.mould-rises']->figures['years'])->toBe($case['years'])
            ->and($said['run.mould-rises']->severity)->toBe(Severity::Caution);
    }
})->with(function (): iterable {
    foreach (json_decode((string) file_get_contents(__DIR__.'/rising.json'), true) as $case) {
        yield $case['case'] => [$case];
    }
});
