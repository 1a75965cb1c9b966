<?php

declare(strict_types=1);

use Apron\Conduction\PlaneField;
use Apron\Conduction\PlaneGrid;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlaneSection;

require_once __DIR__.'/Support.php';

/**
 * Annex A of ISO 10211:2007: both cases in two dimensions, whose results a program has to be within 0.1 K and 0.1 W/m
 * of. Geometry and printed values from memory; case 1 was confirmed by its series below.
 */
const CASE_1 = [
    [9.7, 13.4, 14.7, 15.1],
    [5.3, 8.6, 10.3, 10.8],
    [3.2, 5.6, 7.0, 7.5],
    [2.0, 3.6, 4.7, 5.0],
    [1.3, 2.3, 3.0, 3.2],
    [0.7, 1.4, 1.8, 1.9],
    [0.3, 0.6, 0.8, 0.9],
];

/** Half of a square column, 20 °C on its top and 0 °C on its sides and foot, with the faces held at that. */
function halfColumn(): PlaneSection
{
    $points = [];
    foreach (CASE_1 as $row => $values) {
        foreach (array_keys($values) as $column) {
            $points[] = [100.0 * ($column + 1), 700.0 - 100.0 * $row];
        }
    }

    return new PlaneSection('case-1', 'case 1', [block([0, 0, 400, 800], 1.0)], [
        air([0, 800, 400, 900], 20, 0, true),
        air([-100, 0, 0, 800], 0, 0),
        air([0, -100, 400, 0], 0, 0),
    ], $points);
}

/** The temperature in it, by separation of variables: width 2a = 800 with both sides at 0, height 800. */
function columnSeries(float $x, float $y): float
{
    $sum = 0.0;
    for ($n = 1; $n < 120; $n += 2) {
        $k = ($n * M_PI) / 800;
        $sum += ((4 * 20) / ($n * M_PI)) * sin($k * $x) * exp($k * ($y - 800)) *
            (1 - exp(-2 * $k * $y)) / (1 - exp(-2 * $k * 800));
    }

    return $sum;
}

it('comes within a tenth of a kelvin of case 1, and nearer to its series', function () {
    $section = halfColumn();
    $field = (new PlaneHeat($section))->field;
    $printed = array_merge(...CASE_1);
    foreach ($section->points as $i => $at) {
        expect($field->at(...$at))
            ->toEqualWithDelta($printed[$i], 0.1)
            ->toEqualWithDelta(columnSeries(...$at), 0.01);
    }
});

it('comes within a tenth of a kelvin and of a watt of case 2, a board with aluminium under it', function () {
    $printed = [
        'A' => [0, 47.5, 7.1], 'B' => [500, 47.5, 0.8], 'C' => [0, 41.5, 7.9], 'D' => [15, 41.5, 6.3],
        'E' => [500, 41.5, 0.8], 'F' => [0, 36.5, 16.4], 'G' => [15, 36.5, 16.3], 'H' => [0, 0, 16.8],
        'I' => [500, 0, 18.3],
    ];
    $heat = new PlaneHeat(new PlaneSection('case-2', 'case 2', [
        block([0, 0, 500, 47.5], 0.029),
        block([0, 41.5, 500, 47.5], 1.15),
        block([0, 36.5, 15, 41.5], 0.12),
        block([0, 35, 15, 36.5], 230),
        block([0, 0, 1.5, 36.5], 230),
        block([0, 0, 500, 1.5], 230),
    ], [air([0, 47.5, 500, 60], 0, 0.06), air([0, -10, 500, 0], 20, 0.11, true)]));
    foreach ($printed as $point => [$x, $y, $celsius]) {
        expect($heat->field->at($x, $y))->toEqualWithDelta($celsius, 0.1, $point);
    }
    expect($heat->flow)->toEqualWithDelta(9.5, 0.1)
        ->and($heat->changed)->toBeLessThan(0.01)
        ->and(array_sum($heat->field->flows))->toEqualWithDelta(0, 1e-6);
});

it('nears the series as its cells are halved, by about four each time', function () {
    $section = halfColumn();
    $grid = PlaneGrid::of($section);
    $errors = [];
    foreach ([1, 2, 3] as $_) {
        $field = new PlaneField($section, $grid);
        $errors[] = abs($field->at(200, 400) - columnSeries(200, 400));
        $grid = $grid->halved();
    }
    expect($errors[1])->toBeLessThan($errors[0] / 2.5)->and($errors[2])->toBeLessThan($errors[1] / 2.5);
});

it('says by how much the grid still tells, where two airs of different temperature meet on a face', function () {
    // The flow round the corner has no end: no grid is fine enough, and none is tried for ever.
    $heat = new PlaneHeat(halfColumn());
    expect($heat->changed)->toBeGreaterThan(PlaneHeat::ENOUGH)
        ->and($heat->field->grid->nodes())->toBeLessThan(100000);
});
