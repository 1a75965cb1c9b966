<?php

declare(strict_types=1);

use Apron\Budget\Deadline;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\RunsSection;
use Apron\Transient\LabAssessment;

/**
 * A file with a section through a joint, a sample and a wall through time, some of it said otherwise.
 *
 * @param  array<string, mixed>  $changes  by path, with dots
 */
function hourlyFile(array $changes = []): string
{
    $file = [
        'format' => 'apron-project/1',
        'project' => ['name' => 'Hours', 'units' => 'si'],
        'materials' => [[
            'id' => 'm',
            'name' => 'm',
            'conductivity_w_mk' => 0.15,
            'vapour_resistance_factor' => 10,
            'sorption_curve' => [['rh_pct' => 50, 'water_kg_m3' => 10], ['rh_pct' => 100, 'water_kg_m3' => 100]],
            'moisture' => [
                'conductivity_by_water' => [[0, 0.15], [100, 0.6]],
                'permeability_by_rh' => [[0, 1e-12], [100, 2e-12]],
                'liquid_conductivity_by_water' => [[20, 1e-18], [100, 1e-10]],
            ],
        ]],
        'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => [
            ['id' => 'l1', 'material' => 'm', 'thickness_mm' => 100],
        ]]],
        'plane_sections' => [[
            'id' => 's',
            'rects' => [
                ['rect' => [0, 0, 100, 50], 'material' => 'm'],
                ['rect' => [40, 0, 60, 50], 'conductivity_w_mk' => 50],
            ],
            'airs' => [
                ['rect' => [0, -10, 100, 0], 'temperature_c' => 20, 'rs_m2k_w' => 0.13, 'inside' => true],
                ['rect' => [0, 50, 100, 60], 'temperature_c' => 0, 'rs_m2k_w' => 0, 'inside' => false],
            ],
            'points' => [[50, 25]],
            'flanking' => [['u_w_m2k' => 0.2, 'length_mm' => 100]],
        ]],
        'runs' => [
            [
                'id' => 'sample',
                'layers' => [['material' => 'm', 'thickness_mm' => 20]],
                'initial' => ['temperature_c' => 20, 'rh_pct' => 95],
                'hours' => 10,
                'left' => ['temperature_c' => 20, 'rh_pct' => 45, 'h_w_m2k' => 8, 'beta_s_m' => 1e-8],
                'right' => ['closed' => true],
                'depths_mm' => [5],
                'isothermal' => true,
                'latent' => false,
            ],
            [
                'id' => 'wall',
                'assembly' => 'w',
                'years' => 1,
                'facing_deg' => 90,
                'leak' => ['share' => 0.01, 'layer' => 'l1'],
                'air' => ['flow_l_s_m2' => 0.1, 'layer' => 'l1'],
                'initial_rh_pct' => 70,
            ],
        ],
    ];
    foreach ($changes as $path => $said) {
        $at = &$file;
        foreach (explode('.', $path) as $key) {
            $at = &$at[$key];
        }
        $at = $said;
        unset($at);
    }

    return (string) json_encode($file);
}

it('writes sections, runs and tables as they were read', function () {
    $catalogue = new Catalogue;
    $written = ProjectFormat::write(ProjectFormat::parse(hourlyFile(), $catalogue));
    $expected = json_decode(hourlyFile(), true);
    $told = json_decode($written, true);
    foreach (['materials', 'plane_sections', 'runs'] as $section) {
        expect($told[$section])->toEqual($expected[$section]);
    }
    expect(ProjectFormat::write(ProjectFormat::parse($written, $catalogue)))->toBe($written);
});

it('refuses what cannot be computed, and says where and what would be right', function (
    string $path,
    mixed $said,
    string $pointer,
    string $expected,
) {
    try {
        ProjectFormat::parse(hourlyFile([$path => $said]), new Catalogue);
        $refusal = null;
    } catch (FileRefused $refused) {
        $refusal = $refused;
    }
    expect($refusal?->pointer)->toBe($pointer)->and($refusal?->expected)->toContain($expected);
})->with([
    'an outline that is none' => [
        'plane_sections.0.rects.0.rect', [0, 0, 0, 50], '/plane_sections/0/rects/0/rect', 'x1 above x0',
    ],
    'three sides' => ['plane_sections.0.rects.0.rect', [0, 0, 100], '/plane_sections/0/rects/0/rect', 'exactly 4'],
    'a thing that conducts nothing' => [
        'plane_sections.0.rects.1.conductivity_w_mk', 0, '/plane_sections/0/rects/1/conductivity_w_mk', 'above 0',
    ],
    'two conductivities' => [
        'plane_sections.0.rects.0.conductivity_w_mk', 1,
        '/plane_sections/0/rects/0', 'either conductivity_w_mk or the material',
    ],
    'an air that touches nothing' => [
        'plane_sections.0.airs.1.rect', [0, 70, 100, 80], '/plane_sections/0/airs/1/rect', 'touches material',
    ],
    'an air at a corner alone' => [
        'plane_sections.0.airs.1.rect', [100, 50, 120, 60], '/plane_sections/0/airs/1/rect', 'not at a corner',
    ],
    'a point in the air' => ['plane_sections.0.points.0', [50, 55], '/plane_sections/0/points/0', 'in or on material'],
    'a material of a fixed resistance' => [
        'plane_sections.0.rects.0.material', 'polyolefin-wrap', '/plane_sections/0/rects/0/material', 'a conductivity',
    ],
    'a table that falls back' => [
        'materials.0.moisture.permeability_by_rh', [[50, 1e-12], [40, 1e-12]],
        '/materials/0/moisture/permeability_by_rh/1/0', 'rising order',
    ],
    'less water where it is damper' => [
        'materials.0.sorption_curve', [['rh_pct' => 50, 'water_kg_m3' => 10], ['rh_pct' => 90, 'water_kg_m3' => 9]],
        '/materials/0/sorption_curve/1/water_kg_m3', 'no less water',
    ],
    'two ways of liquid' => [
        'materials.0.moisture.diffusivity_by_water', [[0, 1e-9]],
        '/materials/0/moisture', 'liquid_conductivity_by_water or',
    ],
    'no year' => ['runs.1.years', 0, '/runs/1/years', 'from 1 to 20'],
    'a lifetime and more' => ['runs.1.years', 500, '/runs/1/years', 'from 1 to 20'],
    'a layer that is not there' => ['runs.1.leak.layer', 'l9', '/runs/1/leak/layer', 'a layer of w'],
    'a wall that is not there' => ['runs.1.assembly', 'x', '/runs/1/assembly', 'an assembly of the project'],
    'more rain than falls' => ['runs.1.leak.share', 1.5, '/runs/1/leak/share', 'from 0 to 1'],
    'both kinds of run in one' => ['runs.0.assembly', 'w', '/runs/0', 'either layers between two airs'],
    'a sample of sheets alone' => ['runs.0.layers.0.material', 'polyolefin-wrap', '/runs/0/layers', 'not sheets alone'],
    'a depth beyond it' => ['runs.0.depths_mm', [21], '/runs/0/depths_mm/0', 'from 0 to 20'],
    'no time' => ['runs.0.hours', 0, '/runs/0/hours', 'above 0'],
    'an air without humidity' => ['runs.0.left', ['temperature_c' => 20], '/runs/0/left/rh_pct', ''],
]);

it('says where it had got to when its time is over', function () {
    $file = hourlyFile(['runs.0.hours' => 100 * 8760, 'runs.0.left.rh_pct' => 30]);
    $run = (new RunsSection)->rows(ProjectFormat::parse($file, new Catalogue))['sample'];
    $assessed = Deadline::within(0.001, fn (): LabAssessment => new LabAssessment($run));
    expect($assessed->findings()[0]->code)->toBe('run.cut-short')
        ->and($assessed->reached)->toBeLessThan(100 * 8760.0);
});
