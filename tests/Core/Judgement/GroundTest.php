<?php

declare(strict_types=1);

use Apron\Judgement\AssemblyAssessment;
use Apron\Rules\Finding;

require_once __DIR__.'/Verdicts.php';

/** @return list<array<string, mixed>> */
function groundCases(): array
{
    return json_decode((string) file_get_contents(__DIR__.'/ground.json'), true, 16, JSON_THROW_ON_ERROR)['cases'];
}

/**
 * @param  array<string, mixed>  $case
 * @param  array<string, mixed>  $more
 * @return list<Finding> of what lies in the ground
 */
function inGround(array $case, array $more = ['soil' => ['depth_m' => 1.5]]): array
{
    $layers = [];
    foreach ($case['layers'] as $i => $said) {
        [$material, $thickness] = [...explode(' ', $said), null];
        $layers[] = ['id' => "l$i", 'material' => $material] + ($thickness === null ? [] : [
            'thickness_mm' => (float) $thickness,
        ]);
    }
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'G', 'units' => 'si'],
        'assemblies' => [$more + ['id' => 'f', 'name' => 'F', 'kind' => $case['kind'], 'layers' => $layers]],
    ]);
    $all = (new AssemblyAssessment($project->brief, $project->assemblies[0]))->findings();

    return array_values(
        array_filter(
            $all,
            fn (Finding $f): bool => in_array($f->code, ['practice.not-in-ground', 'practice.ground-ask'], true),
        ),
    );
}

it('says what an expert signs of each thing that lies in the ground', function (array $case) {
    $found = inGround($case);
    expect($found[0]->severity->value ?? 'pass')->toBe($case['verdict'], $case['why']);
    if ($found !== []) {
        expect($found)
            ->toHaveCount(1)
            ->and($found[0]->subject)
            ->toStartWith('assemblies/f/layers/');
    }
})->with(fn () => array_map(fn (array $case): array => [$case], groundCases()));

it('says nothing of it where the wall stands above the ground', function () {
    foreach (groundCases() as $case) {
        expect(inGround($case, []))->toBe([]);
    }
});
