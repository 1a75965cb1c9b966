<?php

declare(strict_types=1);

use Apron\Method\OpeningSchedule;
use Apron\Method\ScheduledOpening;

/** Rows of a schedule as method and parameters, read with their project. @return list<ScheduledOpening> */
function scheduled(array $rows): array
{
    return readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'openings' => array_map(
            fn (array $row, int $i) => [
                'id' => "w$i",
                'title' => "W $i",
                'generator' => $row[0],
                'parameters' => $row[1],
            ],
            $rows,
            array_keys($rows),
        ),
    ])->openings;
}

$kinds = fn (array $rows) => array_map(
    fn (array $kind) => array_map(fn (ScheduledOpening $o) => $o->id, $kind),
    OpeningSchedule::kinds(scheduled($rows)),
);
$size = fn (float $w, float $h = 1200, array $more = []) => ['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => 140] +
    $more;

it('takes openings that differ in their sizes alone for one kind', function (array $rows, array $expected) use (
    $kinds,
) {
    expect($kinds($rows))->toBe($expected);
})->with([
    'none' => [[], []],
    'sizes alone' => [
        [
            ['flanged-unit-in-fluid', $size(900)],
            ['flanged-unit-in-fluid', $size(1500, 600)],
            ['flanged-unit-in-fluid', ['depth_mm' => 200] + $size(900)],
        ],
        [['w0', 'w1', 'w2']],
    ],
    'another method' => [
        [
            ['flanged-unit-in-fluid', $size(900)],
            ['flanged-unit-in-self-adhered', $size(900)],
            ['flanged-unit-in-fluid', $size(800)],
        ],
        [['w0', 'w2'], ['w1']],
    ],
    'another figure' => [
        [['flanged-unit-in-fluid', $size(900)], ['flanged-unit-in-fluid', $size(900, 1200, ['flange_mm' => 40])]],
        [['w0'], ['w1']],
    ],
    'a figure and a choice, stated in another order' => [
        [
            ['flanged-unit-in-self-adhered', $size(900, 1200, ['flange_mm' => 40, 'head' => 'reverse-lap'])],
            ['flanged-unit-in-self-adhered', $size(700, 1200, ['head' => 'reverse-lap', 'flange_mm' => 40])],
        ],
        [['w0', 'w1']],
    ],
    'another material' => [
        [
            ['flanged-unit-in-self-adhered', $size(900)],
            ['flanged-unit-in-self-adhered', $size(900, 1200, ['strip_material' => 'membrane-butyl'])],
        ],
        [['w0'], ['w1']],
    ],
]);

it('tells the sizes of an opening in the order in which its method asks them', function () {
    expect(
        OpeningSchedule::sizes(
            scheduled([
                [
                    'flanged-unit-in-fluid',
                    ['depth_mm' => 140, 'height_mm' => 600, 'width_mm' => 900, 'flange_mm' => 40],
                ],
            ])[0],
        ),
    )
        ->toBe(['width_mm' => 900.0, 'height_mm' => 600.0, 'depth_mm' => 140.0])
        ->and(OpeningSchedule::sizes(scheduled([['round-unit', ['diameter_mm' => 600]]])[0]))
        ->toBe(['diameter_mm' => 600.0]);
});
