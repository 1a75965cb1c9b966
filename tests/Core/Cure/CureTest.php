<?php

declare(strict_types=1);

use Apron\Climate\GenericClimates;
use Apron\Cure\Cure;
use Apron\Cure\CureSearch;
use Apron\Cure\Sweep;
use Apron\Judgement\AssemblyAssessment;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Words;

/**
 * @return array{Apron\Project\Project, Finding, CureSearch} the demo's stack wall and what would clear one finding on
 *   it
 */
function curesOf(string $code, string $assembly = 'w2'): array
{
    $project = readProject(demoFile());
    $wall = array_values(array_filter($project->assemblies, fn ($a) => $a->id === $assembly))[0];
    $finding = array_values(
        array_filter(
            (new AssemblyAssessment($project->brief, $wall))->findings(),
            fn (Finding $f) => str_starts_with($f->code, $code),
        ),
    )[0];

    return [$project, $finding, new CureSearch($project->brief, $wall, $finding, $project->materials)];
}

function codesOf(Apron\Project\Project $project, Apron\Assembly\Assembly $assembly): array
{
    return array_map(
        fn (Finding $f) => $f->severity->value.' '.preg_replace('/\.(interface|within)$/', '', $f->code),
        (new AssemblyAssessment($project->brief, $assembly))->findings(),
    );
}

it('finds cures that clear the finding when they are really made, and bring no new fail or caution', function (
    string $code,
    int $least,
) {
    [$project, $finding, $search] = curesOf($code);
    $wall = array_values(array_filter($project->assemblies, fn ($a) => $a->id === 'w2'))[0];
    $before = codesOf($project, $wall);
    $clearing = array_filter($search->all(), fn (Cure $c) => $c->assembly !== null);
    expect(count($clearing))->toBeGreaterThanOrEqual($least);
    $words = new Words(UnitSystem::SI);
    foreach ($clearing as $cure) {
        $after = codesOf($project, $cure->assembly);
        expect($after)->not->toContain(
            $finding->severity->value.' '.preg_replace('/\.(interface|within)$/', '', $finding->code),
        );
        foreach (array_diff($after, $before) as $new) {
            expect($new)->not->toStartWith('fail')->not->toStartWith('caution');
        }
        expect($words->text($cure->code(), 'title', $cure->figures))->not->toBe('');
    }
})->with([['year.dries', 6], ['practice.leak-condenses', 3], ['heat.method-out-of-range', 3]]);

it('finds the smallest thickness: a millimetre less does not clear it', function (string $code) {
    [$project, $finding, $search] = curesOf($code);
    $cure = array_values(
        array_filter($search->all(), fn (Cure $c) => $c->kind->value === 'thickness' && $c->layer === 'l5'),
    )[0];
    $wall = $cure->assembly;
    $at = array_search('l5', array_column($wall->layers, 'id'), true);
    expect($cure->to)->toBe($wall->layers[$at]->thicknessMm)->and($cure->to)->toBeGreaterThan($cure->from);
    $less = $wall->withLayer($at, $wall->layers[$at]->changed(thicknessMm: $cure->to - 1));
    expect(codesOf($project, $less))->toContain(
        $finding->severity->value.' '.preg_replace('/\.(interface|within)$/', '', $finding->code),
    );
})->with(['year.dries', 'practice.leak-condenses']);

it('draws its curve by the same figure as the finding, crossing the limit where it clears', function () {
    [, $finding, $search] = curesOf('year.dries');
    $cure = array_values(
        array_filter($search->all(), fn (Cure $c) => $c->kind->value === 'thickness' && $c->layer === 'l5'),
    )[0];
    $measure = $search->measure();
    expect($measure->figure)
        ->toBe('peak_g_m2')
        ->and($measure->limit)
        ->toBe(200.0)
        ->and($finding->figures['peak_g_m2'])
        ->toBeGreaterThan(200.0);
    foreach ($cure->curve as $point) {
        expect($point['clears'])->toBe($point['y'] <= 200.0 && $point['x'] > 100);
    }
});

it('looks for the greatest permeance inside, and names a retarder of the library that is tight enough', function () {
    [, , $search] = curesOf('year.dries');
    $cure = array_values(array_filter($search->all(), fn (Cure $c) => $c->kind->value === 'permeance'))[0];
    $added = array_values(array_filter($cure->assembly->layers, fn ($l) => $l->id === 'retarder'))[0];
    expect($cure->to)
        ->toBeGreaterThan(0.5)
        ->and($added->permeance())
        ->toBeLessThanOrEqual($cure->to * 1.0001)
        ->and($cure->code())
        ->toBe('cure.permeance.add');
});

it('offers the methods for steel, and nothing that changes the wall less truly', function () {
    [$project, , $search] = curesOf('heat.method-out-of-range');
    $methods = array_values(array_filter($search->all(), fn (Cure $c) => $c->kind->value === 'method'));
    expect(array_map(fn (Cure $c) => $c->figures['method'], $methods))->toBe(['correction-factor', 'weighted-limits']);
    $assessed = new AssemblyAssessment($project->brief, $methods[0]->assembly);
    expect($assessed->heat->method)
        ->toBe('correction-factor')
        ->and($assessed->heat->total())
        ->toBe($methods[0]->figures['r_m2k_w']);
});

it('says so where no single change within reach clears it', function () {
    // A cold store of a room: thirty below outside, air nearly saturated inside, a sheet of steel outside.
    $file = wallFile([[0.25, 10, 12.5], [0.04, 1, 20], [50, 1000000, 1]], -30, 80, [
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 95],
    ]);
    $project = readProject($file);
    $finding = array_values(
        array_filter(
            (new AssemblyAssessment($project->brief, $project->assemblies[0]))->findings(),
            fn (Finding $f) => $f->code === 'surface.wet',
        ),
    )[0];
    $cures = (new CureSearch($project->brief, $project->assemblies[0], $finding, $project->materials))->all();
    $none = array_filter($cures, fn (Cure $c) => $c->assembly === null);
    expect($none)->not->toBe([]);
    foreach ($none as $cure) {
        expect($cure->code())
            ->toEndWith('.none')
            ->and((new Words(UnitSystem::US))->text($cure->code(), 'title', $cure->figures))
            ->not->toBe('');
    }
});

it('sweeps a thickness over climates; each point is the assembly assessed at it', function () {
    $project = readProject(demoFile());
    $wall = $project->assemblies[1];
    $climates = (new GenericClimates)->all();
    $rows = Sweep::over($project->brief, $wall, 4, $climates);
    expect($rows)->toHaveCount(7)->and(array_column($rows[0]['points'], 'mm'))->toContain(100.0);
    foreach ([[0, 3], [3, 6], [6, 12]] as [$r, $k]) {
        $point = $rows[$r]['points'][$k];
        $assessed = new AssemblyAssessment(
            $project->brief->in($climates[$r]),
            $wall->withLayer(4, $wall->layers[4]->changed(thicknessMm: $point['mm'])),
        );
        expect($point['peak_g_m2'])
            ->toEqualWithDelta(1000 * $assessed->year->most(), 1e-9)
            ->and($point['u_w_m2k'])
            ->toBe($assessed->heat->overallU());
    }
    // Thicker outside is never wetter in the cold climates.
    foreach (array_slice($rows, 0, 3) as $row) {
        $peaks = array_column($row['points'], 'peak_g_m2');
        $sorted = $peaks;
        rsort($sorted);
        expect($peaks)
            ->toBe($sorted)
            ->and(Severity::from($row['points'][0]['worst'])->rank())
            ->toBeLessThanOrEqual(1);
    }
});
