<?php

declare(strict_types=1);

use Apron\Building\BuildingAssessment;
use Apron\Building\Envelope;
use Apron\Building\Proofs;
use Apron\Building\SectionProof;
use Apron\Json\FileRefused;
use Apron\Project\Assessment;

require_once __DIR__.'/Boxes.php';

/** What the corners of a box come to, where a connection says it and a section proves it. */
function cornersWith(array $case): array
{
    $says = array_filter([
        'threads' => isset($case['by']) ? ['heat' => ['by' => $case['by']]] : null,
        'section' => array_key_exists('section', $case) ? 's1' : null,
        'psi_w_mk' => $case['stated'] ?? null,
    ], fn (mixed $said): bool => $said !== null);
    $connections = $says === [] ? [] : [['joint' => ['kind' => 'outside-corner']] + $says];
    $project = readProject(boxFile(['connections' => $connections]));
    $sections = isset($case['section'])
        ? ['s1' => new SectionProof($case['section']['psi'], ($case['section']['findings'] ?? '') === 'wet')]
        : [];
    $assessed = new BuildingAssessment(
        new Envelope($project->of(Apron\Project\Section\BuildingSection::class), []),
        array_column($project->assemblies, null, 'id'),
        new Proofs(sections: $sections),
        false,
    );
    $corners = array_filter($assessed->toArray()['joints'], fn (array $j): bool => $j['kind'] === 'outside-corner');

    return [array_values($corners)[0], $assessed];
}

it('judges the heat of a joint by what is said, stated and computed', function (array $case) {
    [$corner, $assessed] = cornersWith($case);
    expect($corner['threads']['heat'])
        ->toBe($case['heat'])
        ->and($corner['heat_class'])
        ->toBe($case['class'])
        ->and($corner['psi_w_mk'])
        ->toEqualWithDelta($case['psi'], 1e-12)
        // Four corners of three metres.
        ->and($assessed->losses->joints['outside-corner'])
        ->toEqualWithDelta(12 * $case['psi'], 1e-9);
    $told = array_map(fn ($finding): string => $finding->code, $assessed->findings());
    isset($case['told']) ? expect($told)->toContain($case['told']) : expect($told)->not->toContain('building.no-psi');
})->with(function (): iterable {
    foreach (json_decode((string) file_get_contents(__DIR__.'/heat-joints.json'), true) as $case) {
        yield $case['case'] => [$case];
    }
});

it('takes the more particular of two figures', function () {
    $file = boxFile(['connections' => [
        ['joint' => 'hall.wall.0+hall.wall.1.outside-corner', 'psi_w_mk' => 0.4],
        ['joint' => ['kind' => 'outside-corner', 'between' => ['w1', 'w1']], 'psi_w_mk' => 0.1],
        ['joint' => ['kind' => 'outside-corner'], 'psi_w_mk' => 0.9],
    ]]);
    $corners = array_values(array_filter(
        builtOf($file)['joints'],
        fn (array $j): bool => $j['kind'] === 'outside-corner',
    ));
    $file['building']['connections'][0]['joint'] = $corners[0]['id'];
    $psi = array_column(builtOf($file)['joints'], 'psi_w_mk', 'id');
    expect($psi[$corners[0]['id']])->toBe(0.4)->and($psi[$corners[1]['id']])->toBe(0.1);
});

it('computes a section that a connection names, and refuses a figure beside it', function () {
    // A wall of 100 mm at 0.04 with 20 mm of wood through it, by hand the wood loses 0.02·(1/(0.17+0.1/0.13) − U).
    $section = [
        'id' => 's1',
        'rects' => [
            ['rect' => [0, 0, 1000, 100], 'conductivity_w_mk' => 0.04],
            ['rect' => [490, 0, 510, 100], 'conductivity_w_mk' => 0.13],
        ],
        'airs' => [
            ['rect' => [0, -50, 1000, 0], 'temperature_c' => 20, 'rs_m2k_w' => 0.13, 'inside' => true],
            ['rect' => [0, 100, 1000, 150], 'temperature_c' => 0, 'rs_m2k_w' => 0.04],
        ],
        'flanking' => [['u_w_m2k' => 1 / (0.17 + 0.1 / 0.04), 'length_mm' => 1000]],
    ];
    $connection = ['joint' => ['kind' => 'parapet'], 'section' => 's1'];
    $file = boxFile(['connections' => [$connection]], [], ['plane_sections' => [$section]]);
    $assessment = new Assessment(readProject($file));
    $psi = $assessment->rows('plane_sections')[0]->heat->psi();
    $byHand = 0.02 * (1 / (0.17 + 0.1 / 0.13) - 1 / (0.17 + 0.1 / 0.04));
    expect($psi)
        ->toBeGreaterThan($byHand)
        ->toBeLessThan(1.5 * $byHand)
        ->and($assessment->building->losses->joints['parapet'])
        ->toEqualWithDelta(40 * $psi, 1e-9);
    $joint = array_values(array_filter(
        $assessment->building->toArray()['joints'],
        fn (array $j): bool => $j['kind'] === 'parapet',
    ))[0];
    expect($joint['psi_by'])->toBe('s1')->and($joint['threads']['heat'])->toBe('carried');
    $file['building']['connections'][0]['psi_w_mk'] = 0.1;
    expect(fn () => readProject($file))->toThrow(FileRefused::class);
});
