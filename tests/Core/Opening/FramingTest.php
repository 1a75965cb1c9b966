<?php

declare(strict_types=1);

use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Rules\Finding;
use Apron\Trace\DetailAssessment;

function bare(string $generator, array $parameters): array
{
    $detail = Methods::named($generator)->make('o', 'O', $parameters, new Materials([], new Catalogue));
    $found = array_filter(
        (new DetailAssessment($detail))->findings(),
        fn (Finding $f) => str_starts_with($f->code, 'backing'),
    );

    return array_values(array_map(fn (Finding $f) => $f->code, $found));
}

it('stands a stud behind every upright joint of boards, and says where there is none', function (
    string $generator,
    array $sizes,
    array $off,
) {
    expect(bare($generator, $sizes))
        ->toBe([])
        ->and(array_unique(bare($generator, $off + $sizes)))
        ->toBe(['backing.joint']);
})->with([
    'faced sheathing, studs beside the middle' => [
        'flanged-unit-in-faced-sheathing',
        ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 150.0],
        ['stud_offset_mm' => 60.0],
    ],
    'a wide opening, the joint over its header' => [
        'flanged-unit-in-faced-sheathing',
        ['width_mm' => 3000.0, 'height_mm' => 1200.0, 'depth_mm' => 150.0],
        ['stud_offset_mm' => -203.0],
    ],
    'insulation boards' => [
        'flanged-unit-in-taped-insulation',
        ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 150.0],
        ['stud_offset_mm' => 200.0],
    ],
    'panels with flaps' => [
        'flanged-unit-in-flapped-panels',
        ['width_mm' => 1210.0, 'height_mm' => 1200.0, 'depth_mm' => 150.0],
        ['stud_offset_mm' => 20.0],
    ],
    'three boards, their joint beside the stud' => [
        'board-joint',
        ['length_mm' => 2000.0],
        ['stud_offset_mm' => 5.0],
    ],
    'three boards on a stud too narrow for two' => ['board-joint', ['length_mm' => 2000.0], ['stud_mm' => 30.0]],
]);

it('lets a joint fall on the next stud of a regular spacing', function () {
    $sizes = ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 150.0];
    expect(bare('flanged-unit-in-faced-sheathing', ['stud_offset_mm' => 300.0, 'stud_spacing_mm' => 300.0] + $sizes))
        ->toBe([])
        ->and(
            bare(
                'flanged-unit-in-faced-sheathing',
                ['stud_offset_mm' => 300.0, 'stud_spacing_mm' => 400.0] + $sizes,
            ),
        )
        ->not->toBe([]);
});
