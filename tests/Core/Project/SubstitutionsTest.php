<?php

declare(strict_types=1);

use Apron\Json\FileRefused;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Rules\Finding;

/** @return array<string, array{array<string, mixed>}> */
function substitutionCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/substitutions.json'), true, 16, JSON_THROW_ON_ERROR);
    $named = [];
    foreach ($cases['cases'] as $case) {
        $named["{$case['material']} at {$case['place']}"] = [$case];
    }

    return $named;
}

/**
 * @param  array<string, mixed>  $case
 * @return array<string, mixed> two walls and an opening on a cold site, with what was used instead
 */
function substitutedProject(array $case): array
{
    $framed = fn (string $id, array $inside, array $outside): array => [
        'id' => $id,
        'name' => "Wall $id",
        'kind' => 'wall',
        'layers' => [
            ['id' => 'g', 'material' => 'gypsum-board', 'thickness_mm' => 12.7],
            ...$inside,
            ['id' => 'c', 'material' => 'glass-wool-batt', 'thickness_mm' => 140],
            ['id' => 's', 'material' => 'glass-mat-gypsum', 'thickness_mm' => 12.7],
            ['id' => 'm', 'material' => 'membrane-permeable', 'thickness_mm' => 0.6, 'controls' => ['water', 'air']],
            ...$outside,
            ['id' => 'a', 'material' => 'air-layer', 'thickness_mm' => 25, 'air' => 'ventilated'],
            ['id' => 'f', 'material' => 'fibre-cement-panel', 'thickness_mm' => 8],
        ],
    ];
    $board = ($case['foam'] ?? false) ? 'eps' : 'mineral-wool-board';
    $products = ['membrane-permeable', 'seam-tape', 'glass-mat-gypsum', 'mineral-wool-board'];
    $system = ['id' => 's1', 'name' => 'One house', 'by' => 'its maker', 'products' => $products];
    $visit = ['id' => 'v1', 'kind' => 'visit', 'at' => '2026-05-01T08:00:00Z', 'by' => 'A. Inspector'];
    $event = [
        'id' => 'e1',
        'kind' => 'substitution',
        'visit' => 'v1',
        'at' => '2026-05-01T09:00:00Z',
        'by' => 'A. Inspector',
        'words' => 'What was on the lorry.',
        'place' => $case['place'],
        'material' => $case['material'],
    ];

    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'S', 'units' => 'si'],
        'climate' => json_decode(
            (string) json_encode(
                Apron\Climate\ClimateFormat::writeClimate(
                    (new Apron\Climate\GenericClimates)->named('cold continental (made up)'),
                ),
            ),
            true,
        ),
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 21, 'rh_pct' => 40],
        'materials' => [
            [
                'id' => 'mastic-own',
                'name' => 'Mastic strip with solvent',
                'sticks' => 'mastic-solvent',
                'conductivity_w_mk' => 0.2,
                'sd_m' => 50,
            ],
            [
                'id' => 'sys-stranger',
                'name' => 'Membrane of another house',
                'family' => 'acrylic',
                'sticks' => 'acrylic',
                'conductivity_w_mk' => 0.2,
                'permeance_ng_pa_s_m2' => 1600,
            ],
        ],
        'systems' => ($case['system'] ?? false) ? [$system] : [],
        'assemblies' => [
            $framed(
                'w1',
                [],
                [['id' => 'b', 'material' => $board, 'thickness_mm' => 100]],
            ),
            $framed('w2', [['id' => 'r', 'material' => 'smart-film-nylon', 'thickness_mm' => 0.2]], []),
        ],
        'openings' => [
            [
                'id' => 'o1',
                'title' => 'Window',
                'generator' => 'flanged-unit-in-fastened-sheet',
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
            ],
        ],
        'site' => ['events' => [$visit, $event]],
    ];
}

/** @param  array<string, mixed>  $file */
function substituted(array $file): Finding
{
    $all = (new Assessment(readProject($file)))->findings;

    return array_values(
        array_filter($all, fn (Finding $f): bool => str_starts_with($f->subject, 'site/substitutions/')),
    )[0];
}

it('judges what was used instead, for its place alone', function (array $case) {
    $file = substitutedProject($case);
    $found = substituted($file);
    $brings = (string) ($found->figures['brings'] ?? '');
    expect($found->severity->value)->toBe($case['verdict'], "{$case['why']} It brings: $brings");
    foreach ($case['says'] ?? [] as $word) {
        expect($brings)->toContain($word);
    }
    // The plan is judged as it was without it.
    $planned = fn (array $file): array => array_map(
        fn (Finding $f): string => $f->key(),
        array_filter(
            (new Assessment(readProject($file)))->findings,
            fn (Finding $f): bool => ! str_starts_with($f->subject, 'site/'),
        ),
    );
    expect(array_values($planned($file)))->toBe(
        array_values($planned(array_diff_key($file, ['site' => []]))),
    );
})->with(substitutionCases(...));

it('keeps it in the record, as it was written', function () {
    $file = substitutedProject(['place' => 'assemblies/w1/layers/m', 'material' => 'membrane-sbs']);
    $written = json_decode(ProjectFormat::write(readProject($file)), true);
    expect($written['site']['events'][1])->toBe($file['site']['events'][1]);
});

it('refuses one without a place, a material or words', function (array $said, string $at) {
    $file = substitutedProject(['place' => 'assemblies/w1/layers/m', 'material' => 'membrane-sbs']);
    foreach ($said as $key => $value) {
        $file['site']['events'][1][$key] = $value;
        if ($value === null) {
            unset($file['site']['events'][1][$key]);
        }
    }
    expect(fn () => readProject($file))->toThrow(
        fn (FileRefused $e) => expect($e->pointer)->toBe("/site/events/1$at"),
    );
})->with([
    'nowhere' => [['place' => 'north wall'], '/place'],
    'half a place' => [['place' => 'assemblies/w1'], '/place'],
    'no place' => [['place' => null], '/place'],
    'no material' => [['material' => null], '/material'],
    'without a word' => [['words' => null], '/words'],
    'of another kind' => [['kind' => 'fault-raised', 'severity' => 'caution'], '/place'],
]);
