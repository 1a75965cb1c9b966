<?php

declare(strict_types=1);

use Apron\Assembly\AssemblyFormat;
use Apron\Assembly\SurfaceFilms;
use Apron\Brief\Brief;
use Apron\Json\Node;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;

/** @return array<string, array<string, mixed>> the cases of drain.json, by id */
function drainCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/drain.json'), true)['cases'];

    return array_column($cases, null, 'id');
}

function drained(array $case): AssemblyAssessment
{
    $outside = [];
    foreach ($case['outside'] as $i => $layer) {
        $outside[] = [
            'id' => "o$i",
            'material' => $layer[0],
            'thickness_mm' => $layer[1],
        ] + (isset($layer[2])
                ? ['framing' => ['material' => 'lumber', 'fraction' => 0.1, 'spacing_mm' => 406, 'runs' => $layer[2]]]
                : []);
    }
    $plane = ['id' => 'plane', 'material' => 'polyolefin-wrap', 'thickness_mm' => 0.2];
    $wall = AssemblyFormat::read(
        Node::of(
            [
                'id' => 'w',
                'name' => 'W',
                'kind' => $case['id'] === 'roof' ? 'roof' : 'wall',
                'layers' => [
                    ['id' => 'gypsum', 'material' => 'gypsum-board', 'thickness_mm' => 12.7],
                    ['id' => 'studs', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140],
                    ['id' => 'sheathing', 'material' => 'plywood', 'thickness_mm' => 12],
                    $plane + (($case['plane'] ?? true) ? ['controls' => ['water']] : []),
                    ...$outside,
                ],
            ] + (isset($case['drainage']) ? ['drainage' => $case['drainage']] : []),
        ),
        new Materials([], new Catalogue),
        SurfaceFilms::from('iso'),
        null,
    );

    return new AssemblyAssessment(new Brief('P', UnitSystem::SI), $wall);
}

it('says of each way down what its case says, and nothing of sound ones', function (array $case) {
    $found = array_values(
        array_filter(
            drained($case)->findings(),
            fn (Finding $f): bool => str_starts_with($f->code, 'drain.'),
        ),
    );
    $said = $found === [] ? 'pass' : $found[0]->severity->value;
    expect($said)
        ->toBe($case['verdict'], "{$case['id']}: {$case['why']}")
        ->and($found[0]->code ?? null)
        ->toBe($case['code'] ?? null)
        ->and(count($found))
        ->toBeLessThanOrEqual(1);
})->with(fn (): array => array_map(fn (array $case): array => [$case], drainCases()));

it('tells the way to daylight: the plane, what drains, and whether it gets out', function () {
    $told = fn (string $case): ?array => drained(drainCases()[$case])->toArray()['drain'];
    expect($told('level-on-up'))
        ->toMatchArray(['plane' => 'plane', 'out' => true])
        ->and(array_column($told('level-on-up')['ways'], 'blocked', 'layer'))
        ->toBe(['o0' => false, 'o1' => true])
        ->and($told('battens-unsaid')['out'])
        ->toBeNull()
        ->and($told('base-closed')['out'])
        ->toBeFalse()
        ->and($told('no-plane'))
        ->toBeNull();
});
