<?php

declare(strict_types=1);

use Apron\Crew\CutList;
use Apron\Crew\StepCards;
use Apron\Inspection\DetailChecks;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Method\Methods;
use Apron\Method\Wall;
use Apron\Project\Assessment;
use Apron\Project\Project;
use Apron\Project\ProjectFormat;
use Apron\Rules\Finding;
use Apron\Trace\DetailAssessment;

/**
 * For each way of building: the steps that the trade takes in this order (others may lie between them), and the
 * junctions it has besides.
 */
function waysOfBuilding(): array
{
    $framed = ['sheathing-to-foundation', 'round-penetration', 'wall-corner'];

    return [
        '01-deep-frame-open-joint' => [
            [
                'membrane-below-and-beside',
                'sill-pan',
                'head-liner',
                'boards-round',
                'unit-on-straps',
                'inner-air-seal',
            ],
            ['outer-seals', 'outer-tapes'],
            $framed,
        ],
        '02-coated-wood-buck' => [
            ['buck-wood', 'detail-coat', 'field-coat', 'unit-on-straps', 'inner-tape'],
            ['outer-seals'],
            ['sheathing-to-foundation'],
        ],
        '03-joint-in-three-stages-in-fluid' => [
            [
                'detail-coat',
                'field-coat',
                'unit-with-membranes',
                'membranes-meshed',
                'joint-insulation',
                'inner-membrane',
            ],
            [],
            ['below-grade-to-wall'],
        ],
        '04-foil-board-on-steel' => [
            [
                'upright-seams',
                'level-seams',
                'sill-tape-slit',
                'corner-patches-sill',
                'jamb-liners',
                'unit-in-sealant',
            ],
            [],
            ['board-joint'],
        ],
        '05-coated-panels-gun-grade' => [
            ['detail-coat', 'field-coat', 'unit-in-sealant', 'flange-flashing'],
            [],
            ['movement-joint', 'below-grade-to-wall', 'round-penetration'],
        ],
        '06-strips-first-in-concrete-forms' => [
            [
                'solid-buck-wood',
                'sill-tape-slit',
                'unit-in-sealant',
                'head-strip',
                'lower-course-under',
                'course-over-head',
            ],
            ['sheet-cut-and-turned-in', 'slit-tapes'],
            ['sheathing-to-foundation'],
        ],
        '07-heavy-wrap-with-cap' => [
            ['unit-in-sealant', 'jamb-strips', 'head-cap', 'head-strip', 'flap-down', 'second-layer-hung'],
            [],
            ['overhanging-foot', 'damage-patch', 'round-penetration'],
        ],
        '08-fluid-behind-six-inches' => [
            ['detail-coat', 'field-coat', 'head-flashing-out', 'boards-round', 'second-pan-apart', 'unit-on-straps'],
            [],
            ['below-grade-to-wall', 'sill-plate', 'through-wall-flashing'],
        ],
        '09-faced-shed' => [
            [
                'boards',
                'upright-seams',
                'level-seams',
                'sheathing-gap',
                'sill-tape',
                'unit-in-sealant',
                'head-strip-taped',
            ],
            [],
            ['panel-joint', 'sill-plate', 'wall-to-roof'],
        ],
        '10-clips-and-inner-seal-alone' => [
            ['boards', 'sill-tape', 'boards-round', 'unit-on-clips', 'inner-air-seal', 'held-resealed-last'],
            ['outer-seals', 'clips-resealed'],
            ['through-wall-flashing', 'round-penetration'],
        ],
        '11-coat-in-a-faced-wall' => [
            ['boards', 'level-seams', 'detail-coat', 'unit-in-sealant', 'head-cap', 'head-strip-taped'],
            ['sill-tape', 'jamb-liners'],
            ['apron-flashing'],
        ],
        '12-tape-fed-in' => [
            ['unit-on-brackets', 'tape-fed-in', 'tape-grown', 'joint-insulation', 'held-beaded', 'inner-membrane'],
            ['unit-with-tape'],
            ['through-wall-flashing', 'wall-corner'],
        ],
        '13-wrap-four-and-six' => [
            ['sheet-cut-and-turned-in', 'sill-pan', 'unit-in-sealant', 'jamb-strips', 'head-strip', 'flap-down'],
            [],
            ['overhanging-foot'],
        ],
        '14-wrap-behind-wool' => [
            [
                'sheet-cut-and-turned-in',
                'head-flashing-out',
                'flap-over-flashing',
                'boards-round',
                'second-pan-over',
                'unit-on-straps',
            ],
            [],
            ['through-wall-flashing', 'pipe-through-board'],
        ],
        '15-insulating-buck' => [
            [
                'sheet-cut-and-turned-in',
                'buck-insulating',
                'sill-pan',
                'unit-in-sealant',
                'jamb-strips',
                'head-strip',
                'flap-down',
                'boards-beside-buck',
            ],
            [],
            ['round-penetration'],
        ],
        '16-coated-board-two-inches' => [
            ['boards', 'sheathing-gap', 'unit-in-sealant', 'jamb-strips', 'head-flashing-out', 'boards-round'],
            [],
            ['board-joint', 'sheathing-to-foundation'],
        ],
        '17-coat-in-a-membrane' => [
            [
                'membrane-below-and-beside',
                'detail-coat',
                'unit-in-sealant',
                'jamb-strips',
                'course-over-flashing',
                'boards-round',
            ],
            ['sill-pan', 'jamb-liners'],
            ['through-wall-flashing'],
        ],
        '18-strips-and-bow-ties' => [
            [
                'membrane-all-over',
                'sill-tape-slit',
                'corner-patches-sill',
                'jamb-liners',
                'unit-in-sealant',
                'head-strip-taped',
            ],
            ['course-above'],
            ['round-penetration', 'wall-corner'],
        ],
        '19-flange-and-sill-bead' => [
            ['sill-tape-slit', 'unit-in-sealant', 'head-flashing-out', 'boards-round', 'inner-sill-bead'],
            ['inner-air-seal'],
            ['through-wall-flashing', 'pipe-through-board', 'missed-screw', 'rectangular-penetration'],
        ],
        '20-flapped-panels-and-buck' => [
            [
                'starter-strip',
                'flapped-panels',
                'upright-seams',
                'panel-flaps',
                'buck-insulating',
                'sill-tape',
                'unit-in-sealant',
            ],
            [],
            ['board-joint'],
        ],
        '21-fluid-behind-girts' => [
            ['detail-coat', 'field-coat', 'unit-in-sealant', 'flange-flashing', 'head-flashing-out', 'boards-round'],
            [],
            ['cladding-bracket', 'movement-joint', 'round-penetration'],
        ],
    ];
}

function wayOfBuilding(string $way): Project
{
    $file = (string) file_get_contents(dirname(__DIR__, 2)."/ways/$way.json");

    return ProjectFormat::parse($file, new Catalogue);
}

it(
    'carries a way of building from its wall to the cards with no refusal, no fail, and in the order of the trade',
    function (string $way, array $order, array $never) {
        $project = wayOfBuilding($way);
        $detail = $project->details[0];
        $fails = array_filter(
            (new Assessment($project))->findings,
            fn (Finding $f): bool => $f->severity->value === 'fail',
        );
        expect(array_map(fn (Finding $f): string => $f->key(), $fails))
            ->toBe([])
            ->and($project->openings[0]->inWall)
            ->toBe([]);

        $does = array_map(fn ($step): string => $step->does, $detail->steps);
        expect(array_values(array_intersect($does, $order)))
            ->toBe($order)
            ->and(array_intersect($does, $never))
            ->toBe([])
            ->and(StepCards::of($detail))
            ->toHaveCount(count($does))
            ->and(DetailChecks::of($detail))
            ->not->toBe([]);
        // What is a coat is cut from no roll, all else that lines the opening is.
        $cut = array_merge(...array_column(CutList::of($detail), 'pieces'));
        expect(in_array('pan', $cut, true))->toBe($detail->piece('detail-coat') === null);
    },
)->with(
    fn (): array => array_map(
        fn (array $way, string $name): array => [$name, $way[0], $way[1]],
        waysOfBuilding(),
        array_keys(waysOfBuilding()),
    ),
);

it('makes the junctions of a way on its wall, sound and checked', function (string $way, array $junctions) {
    $project = wayOfBuilding($way);
    $wall = Wall::of($project->assemblies[0]);
    foreach ($junctions as $method) {
        $sizes = [];
        foreach (Methods::named($method)->parameters() as $p) {
            if ($p['kind'] === 'size') {
                $sizes[$p['name']] = min($p['most'], max($p['least'], $p['name'] === 'length_mm' ? 1500.0 : 100.0));
            }
        }
        $detail = Methods::make($method, 'd', 'D', $sizes, $project->brief, $project->materials, $wall);
        $codes = array_map(
            fn (Finding $f): string => $f->severity->value.' '.$f->code,
            (new DetailAssessment($detail))->findings(),
        );
        expect(preg_grep('/^fail/', $codes))
            ->toBe([], "$way: $method")
            ->and(DetailChecks::of($detail))
            ->not->toBe([]);
        // In the plane of that wall, not in one of its own.
        $plane = Methods::named($method)->inPlane($detail->generated->parameters);
        expect($plane ?? $wall->plane)->toBe($wall->plane, "$way: $method");
        if (isset($detail->generated->parameters['insulation_mm'])) {
            expect($detail->generated->parameters['insulation_mm'])->toBe($wall->board);
        }
    }
})->with(
    fn (): array => array_map(
        fn (array $way, string $name): array => [$name, $way[2]],
        waysOfBuilding(),
        array_keys(waysOfBuilding()),
    ),
);

it('has a file for each of them, which the published schema takes and which comes out as it went in', function () {
    $files = array_map(fn (string $f): string => basename($f, '.json'), glob(dirname(__DIR__, 2).'/ways/*.json'));
    expect($files)->toBe(array_keys(waysOfBuilding()))->toHaveCount(21);
    $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/formats/project.schema.json');
    foreach ($files as $way) {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/ways/$way.json");
        expect((new Opis\JsonSchema\Validator)->validate(json_decode($text), $schema)->isValid())->toBeTrue($way);
        $once = ProjectFormat::write(wayOfBuilding($way));
        expect(ProjectFormat::write(ProjectFormat::read(Node::decoded(json_decode($once)), new Catalogue)))->toBe(
            $once,
        );
    }
});
