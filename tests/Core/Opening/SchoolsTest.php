<?php

declare(strict_types=1);

use Apron\Detail\CutSize;
use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Detail\Edge;
use Apron\Drafting\CannotGenerate;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;
use Apron\Rules\Words;
use Apron\Trace\Check\AirLine;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\DetailAssessment;
use Apron\Trace\HalfBuilt;
use Apron\Trace\Outcome;

it('offers no answer that changes nothing: a choice of a method, a material, words, or a verdict', function () {
    $choices = array_merge(
        ...array_values(
            array_map(
                fn ($g) => array_filter(
                    // Some are only asked where the opening comes first.
                    [
                        ...$g->parameters(),
                        ...$g->name() === 'unit-in-its-wall' ? $g->parameters(['first' => 'opening']) : [],
                    ],
                    fn (array $p) => $p['kind'] === 'choice',
                ),
                Methods::all(),
            ),
        ),
    );
    $words = fn (string $file): array => json_decode(
        file_get_contents(__DIR__."/../../../core/data/words/$file.json"),
        true,
    );
    $codes = implode(' ', array_keys($words('handling') + $words('sequence')));
    // The check of the sill, the judgement of bonds and the surface films read these themselves; their tests are with
    // those.
    $read = ['outer-sill', 'bonds', 'films', 'unit-depth', 'closed-foam', 'nail-base', 'vapour-layer'];
    foreach (Schools::all() as $school) {
        foreach (array_slice($school['of'], 1) as ['value' => $answer]) {
            $chosen = array_filter(
                $choices,
                fn (array $p) => $p['name'] === str_replace('-', '_', $school['question']) &&
                    in_array($answer, $p['of'], true),
            );
            $somewhere =
                $chosen !== [] ||
                Schools::materials($school['question'], $answer) !== [] ||
                str_contains($codes, "@{$school['question']}.$answer") ||
                in_array($school['question'], $read, true);
            expect($somewhere)->toBeTrue("{$school['question']}: $answer");
        }
    }
});

it(
    'takes the flashing of openings from the school, where a method has such a piece and the opening does not say otherwise',
    function () {
        $settled = fn (string $name) => Methods::settled(
            Methods::named($name),
            ['opening-flashing' => 'impermeable'],
            null,
        );
        expect($settled('flanged-unit-in-self-adhered'))
            ->toBe(['strip_material' => 'membrane-butyl'])
            ->and($settled('flanged-unit-in-fluid'))
            ->toBe(['flashing_material' => 'fluid-impermeable'])
            ->and($settled('board-joint'))
            ->toBe([]);
        $row = [
            'id' => 'w',
            'title' => 'W',
            'generator' => 'flanged-unit-in-self-adhered',
            'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
        ];
        $of = function (array $row): string {
            $file = [
                'format' => 'apron-project/1',
                'project' => ['name' => 'P', 'units' => 'si', 'schools' => ['opening-flashing' => 'impermeable']],
                'openings' => [$row],
            ];

            return readProject($file)->details[0]->piece('head-strip')->material->id;
        };
        expect($of($row))
            ->toBe('membrane-butyl')
            ->and($of(array_replace_recursive($row, ['parameters' => ['strip_material' => 'flashing-strip']])))
            ->toBe('flashing-strip');
    },
);

it('sets a unit as deep as the school says, by its own opening, where it can sit anywhere', function (
    string $school,
    array $parameters,
    ?float $setback,
) {
    $method = $parameters['generator'] ?? 'strapped-unit-in-self-adhered';
    unset($parameters['generator']);
    expect(
        Methods::settled(Methods::named($method), ['unit-depth' => $school], null, $parameters)['setback_mm'] ??
            null,
    )->toBe($setback);
})->with([
    'as figured' => ['figure', ['depth_mm' => 140.0], null],
    'at the face' => ['outer-face', ['depth_mm' => 140.0], 0.0],
    'in the middle, frames as usual 80 deep' => ['middle-third', ['depth_mm' => 140.0], 30.0],
    'in the middle, a deeper frame' => ['middle-third', ['depth_mm' => 200.0, 'frame_depth_mm' => 120.0], 40.0],
    'a frame as deep as the return' => ['middle-third', ['depth_mm' => 80.0], 0.0],
    'a flange has its place' => ['outer-face', ['depth_mm' => 140.0, 'generator' => 'flanged-unit-in-fluid'], null],
    'behind a board it stays at the sheathing' => [
        'middle-third',
        ['depth_mm' => 140.0, 'generator' => 'unit-in-two-planes'],
        null,
    ],
]);

it('lets an opening of the schedule say its own depth', function () {
    $of = fn (array $more) => readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si', 'schools' => ['unit-depth' => 'middle-third']],
        'openings' => [
            [
                'id' => 'w',
                'title' => 'W',
                'generator' => 'strapped-unit-in-fluid',
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 160] + $more,
            ],
        ],
    ])->details[0]->unit->outerZ;
    expect($of([]))->toBe(40.0)->and($of(['setback_mm' => 5]))->toBe(5.0);
});

it(
    'closes the air line on four sides wherever the school puts the seal, and says what is lost without the bead at the sill',
    function (string $seal) {
        $detail = Methods::named('strapped-unit-in-self-adhered')->make(
            'o',
            'O',
            ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0, 'air_seal' => $seal],
            new Materials([], new Catalogue),
        );
        $does = array_map(fn ($step) => $step->does, $detail->steps);
        expect((new DetailAssessment($detail))->of(AirLine::class)->air)
            ->toBe(['sill' => true, 'head' => true, 'jamb-left' => true, 'jamb-right' => true])
            ->and(end($does))
            ->toBe(['sealant' => 'inner-air-seal', 'tape' => 'inner-tape', 'outer-tape' => 'inner-sill-bead'][$seal])
            // The sill drains in every school.
            ->and($detail->unit->joints['sill']->outer)
            ->toBe(Edge::Open)
            ->and($detail->unit->joints['head']->inner)
            ->toBe($seal !== 'outer-tape');
        $row = DetailWriter::write($detail);
        $row['unit']['joints']['sill']['inner'] = false;
        $without = new DetailAssessment(DetailFormat::read(Node::of($row), new Materials([], new Catalogue)));
        expect($without->of(AirLine::class)->air['sill'])
            ->toBeFalse()
            ->and($without->severity()->value)
            ->toBe('fail');
    },
)->with(['sealant', 'tape', 'outer-tape']);

it('leaves out the gap under sheathing that is bedded', function () {
    $cut = fn (string $foot) => Methods::named('sheathing-to-foundation')
        ->make('d', 'D', ['length_mm' => 2000.0, 'sheathing_foot' => $foot], new Materials([], new Catalogue))
        ->piece('foot-strip')->cut->width;
    expect($cut('gap') - $cut('bedded'))->toBe(6.0);
});

it('says on a card what the school of the project says', function () {
    $words = new Words(UnitSystem::SI);
    expect($words->coded('handling.sealant', ['bead' => 'mass']))
        ->toBe('handling.sealant@bead.mass')
        ->and($words->coded('handling.sealant', ['bead' => 'tooled']))
        ->toBe('handling.sealant')
        ->and($words->coded('handling.metal', ['bead' => 'mass', 'press' => 'hand']))
        ->toBe('handling.metal');
});

function byMethod(string $name, array $parameters): Apron\Detail\Detail
{
    return Methods::named($name)->make(
        'o',
        'O',
        $parameters + usualSizes($name),
        new Materials([], new Catalogue),
    );
}

/** The detail with a change made to it as it is written. */
function rewritten(Apron\Detail\Detail $detail, callable $change): DetailAssessment
{
    return new DetailAssessment(
        DetailFormat::read(Node::of($change(DetailWriter::write($detail))), new Materials([], new Catalogue)),
    );
}

it(
    'lets what gets behind trim out again, caulked or not, and keeps it in once a bead closes the joint under the head trim',
    function () {
        foreach (['drained', 'caulked'] as $trim) {
            expect(
                (new DetailAssessment(byMethod('flanged-unit-in-self-adhered', ['trim' => $trim])))->worst(),
            )->toBe(Outcome::Recovered);
        }
        $caulked = byMethod('flanged-unit-in-self-adhered', ['trim' => 'caulked']);
        // The head strip drains between head trim and frame, which begins 13 mm inside of the hole; a bead tooled over
        // the trim's foot closes that.
        $closed = rewritten($caulked, function (array $row): array {
            $row['pieces'][] = [
                'id' => 'head-bead',
                'material' => 'sealant-silyl',
                'kind' => 'sealant',
                'step' => count($row['steps']),
                'patches' => [['id' => 'head-bead.face', 'facet' => 'face', 'rect' => [13, 1187, 887, 1195]]],
            ];

            return $row;
        });
        expect($closed->worst())->toBe(Outcome::Trapped);
        $found = array_values(array_filter($closed->findings(), fn ($f) => $f->code === 'rain.trapped'));
        expect($found)->not->toBe([])->and($found[0]->figures['piece'])->toBe('head-bead');
    },
);

it('leaves the trim’s foot, and the frame’s, open to drain', function () {
    foreach (['drained', 'caulked'] as $trim) {
        $detail = byMethod('flanged-unit-in-fastened-sheet', ['trim' => $trim]);
        $beads = array_filter($detail->pieces, fn ($p) => str_starts_with($p->id, 'trim-bead'));
        expect($beads)->toHaveCount($trim === 'caulked' ? 1 : 0);
        foreach ($beads as $bead) {
            foreach ($bead->patches as $patch) {
                // Beside the frame from its foot to its head, 3 mm wide, and not under or over it.
                expect([$patch->rect->v0, $patch->rect->v1, $patch->rect->width()])->toBe([13.0, 1187.0, 3.0]);
            }
        }
        $assessed = new DetailAssessment($detail);
        // Trim lies over strips and is no lap of theirs.
        expect($assessed->of(SillCheck::class)->sill['outer_joint']->value)
            ->toBe('pass')
            ->and(
                array_filter(
                    $assessed->findings(),
                    fn ($f) => $f->code === 'lap.reversed' && str_contains((string) $f->discriminator, 'trim'),
                ),
            )
            ->toBe([]);
    }
});

it('screens the drained space at head and sill, outside of the trim and on the outermost plane', function (
    array $answers,
    string $method,
    string $facet,
    float $beside,
) {
    $detail = byMethod($method, $answers + ['screens' => 'head-and-sill']);
    $rects = [];
    foreach (['head-screen', 'sill-screen'] as $id) {
        $patch = $detail->piece($id)->patches[0];
        expect($patch->facet)->toBe($facet);
        $rects[$id] = [$patch->rect->u0, $patch->rect->v0, $patch->rect->u1, $patch->rect->v1];
    }
    // A unit of 900 × 1200; the screens stand 50 tall and are cut to be folded in two.
    [$left, $right] = [-$beside, 900 + $beside];
    expect($rects)->toBe([
        'head-screen' => [$left, 1200 + $beside, $right, 1250 + $beside],
        'sill-screen' => [$left, -50 - $beside, $right, -$beside],
    ]);
    expect($detail->piece('head-screen')->cut)->toEqual(new CutSize($right - $left, 100.0));
    $assessed = new DetailAssessment($detail);
    // It is a mesh: nothing is kept in by it, and it is nobody's lap.
    expect($assessed->worst())
        ->not->toBe(Outcome::Trapped)
        ->and(array_filter($assessed->findings(), fn ($f) => str_contains((string) $f->discriminator, 'screen')))
        ->toBe([]);
})->with([
    'no trim' => [[], 'flanged-unit-in-self-adhered', 'face', 13.0],
    'outside of trim: 3 + 90 off a frame that begins 13 in' => [
        ['trim' => 'drained'],
        'flanged-unit-in-self-adhered',
        'face',
        80.0,
    ],
    'trim off the arris of a return' => [['trim' => 'drained'], 'strapped-unit-in-self-adhered', 'face', 93.0],
    'on the face of the board' => [[], 'unit-in-two-planes', 'outer-face', 13.0],
]);

it('does not pin a second layer with a screen, nor screen off the wall that is drawn', function () {
    expect(
        fn () => byMethod('flanged-unit-in-fastened-sheet', ['second_layer' => 'hung', 'screens' => 'head-and-sill']),
    )->toThrow(CannotGenerate::class, 'pin it')
        ->and(
            fn () => byMethod('strapped-unit-in-self-adhered', [
                'screens' => 'head-and-sill',
                'screen_mm' => 120.0,
                'margin_mm' => 130.0,
            ]),
        )
        ->toThrow(CannotGenerate::class, 'stay on the wall');
});

it('spots the heads of fasteners: each leaks without its spot, under a tape it needs none', function (
    string $method,
) {
    $all = byMethod($method, ['fastener_heads' => 'all']);
    $some = byMethod($method, ['fastener_heads' => 'outside-joints']);
    [$spots, $fewer] = [count($all->piece('spots')->patches), count($some->piece('spots')->patches)];
    expect($spots)
        ->toBe(count($all->fasteners))
        ->and($fewer)
        ->toBeLessThan($spots)
        ->toBeGreaterThan(0)
        ->and((new DetailAssessment($some))->severity()->value)
        ->toBe('caution');
    // One spot forgotten: its fastener wets the wall.
    $bare = rewritten($some, function (array $row): array {
        foreach ($row['pieces'] as &$piece) {
            if ($piece['id'] === 'spots') {
                // One beside the opening, clear of its strips.
                $clear = array_keys(
                    array_filter(
                        $piece['patches'],
                        fn (array $p) => $p['rect'][0] > 1150 && $p['rect'][1] > 300 && $p['rect'][3] < 900,
                    ),
                );
                array_splice($piece['patches'], $clear[0], 1);
            }
        }

        return $row;
    });
    $wet = array_filter($bare->strips, fn ($s) => $s->source === 'fastener' && $s->outcome === Outcome::Wets);
    expect($wet)->toHaveCount(1)->and($bare->severity()->value)->toBe('fail');
})->with(['flanged-unit-in-faced-sheathing', 'flanged-unit-in-taped-insulation', 'flanged-unit-in-flapped-panels']);

it('sets each head in a board and clear of its edges, two beside the joint, and no closer than asked', function () {
    $detail = byMethod('flanged-unit-in-faced-sheathing', ['fastener_heads' => 'all']);
    foreach ($detail->fasteners as $i => $head) {
        expect($head->through)->toHaveCount(1, $head->id);
        foreach (array_slice($detail->fasteners, $i + 1) as $other) {
            expect(abs($head->u - $other->u) >= 25 || abs($head->v - $other->v) >= 300)->toBeTrue(
                "$head->id and $other->id",
            );
        }
        // 12.5 mm of sealant round the head stays off the hole, 900 × 1200.
        expect($head->u > -12.5 && $head->u < 912.5 && $head->v > -12.5 && $head->v < 1212.5)->toBeFalse($head->id);
    }
    $beside = array_unique(
        array_map(fn ($head) => $head->u, array_filter($detail->fasteners, fn ($head) => abs($head->u - 450) < 30)),
    );
    sort($beside);
    expect($beside)->toBe([435.0, 465.0]);
});

it('draws no more heads than show something, and says what to change', function () {
    expect(
        fn () => byMethod('flanged-unit-in-faced-sheathing', [
            'width_mm' => 6000.0,
            'height_mm' => 6000.0,
            'fastener_heads' => 'all',
            'fastener_spacing_mm' => 100.0,
        ]),
    )->toThrow(Apron\Drafting\CannotGenerate::class, 'fastener_spacing_mm');
});

it('pulls or leaves a screw that missed by what can be reached, unless the school says which', function (
    array $parameters,
    bool $pulled,
) {
    $detail = byMethod('missed-screw', $parameters);
    $states = HalfBuilt::eachStep($detail);
    expect(array_filter($detail->pieces, fn ($p) => $p->id === 'hole-patch'))
        ->toHaveCount($pulled ? 1 : 0)
        ->and((new DetailAssessment($detail))->worst())
        ->toBe($pulled ? Outcome::ReliesOnBond : Outcome::Shed)
        // Between pulling and patching, the hole leaks.
        ->and($states[count($states) - ($pulled ? 2 : 1)]['worst'])
        ->toBe($pulled ? Outcome::Wets : Outcome::Shed);
})->with([
    'reachable' => [['reach' => 'before-cover'], true],
    'covered' => [['reach' => 'covered'], false],
    'left though reachable' => [['missed_screw' => 'leave', 'reach' => 'before-cover'], false],
    'pulled though covered' => [['missed_screw' => 'pull', 'reach' => 'covered'], true],
]);

it(
    'opens the cover first where a screw is pulled that is covered, and refuses a screw that did not miss',
    function () {
        $does = fn (array $parameters) => array_map(
            fn ($step) => $step->does,
            byMethod('missed-screw', $parameters)->steps,
        );
        expect($does(['missed_screw' => 'pull', 'reach' => 'covered']))
            ->toBe(['plane-over-wall', 'cover-opened', 'screw-pulled', 'hole-patched'])
            ->and($does(['missed_screw' => 'pull']))
            ->toBe(['plane-over-wall', 'screw-pulled', 'hole-patched'])
            ->and(fn () => byMethod('missed-screw', ['missed_by_mm' => 2.0]))
            ->toThrow(Apron\Drafting\CannotGenerate::class, 'in the stud');
    },
);

it(
    'takes a small pipe through thick board at either plane: sealed at the sheathing in both, led out over it in one',
    function () {
        $taped = new DetailAssessment(byMethod('pipe-through-board', ['diameter_mm' => 60.0]));
        $through = new DetailAssessment(
            byMethod('pipe-through-board', ['diameter_mm' => 60.0, 'board_penetration' => 'flashed-through']),
        );
        $behind = fn (DetailAssessment $a) => array_unique(
            array_map(fn ($s) => $s->outcome->told(), array_filter($a->strips, fn ($s) => $s->facet === 'above')),
        );
        // Over the pipe, water behind the board comes down onto its collar; or is led out above it and never meets the
        // pipe.
        expect($behind($taped))
            ->toContain('relies on seal')
            ->and(array_values($behind($through)))
            ->toBe(['shed']);
        // What runs down the sheathing leaves by the drip at the base.
        foreach ($taped->strips as $strip) {
            expect(
                $strip->facet === 'outer-face' ||
                    $strip->told()->route[count($strip->told()->route) - 1][0] === 'outer-foot',
            )->toBeTrue();
        }
        // Without its collar the pipe wets the sheathing in either school.
        foreach (['outer-face', 'flashed-through'] as $school) {
            $bare = rewritten(
                byMethod('pipe-through-board', ['diameter_mm' => 60.0, 'board_penetration' => $school]),
                function (array $row): array {
                    foreach ($row['penetrations'] as &$pipe) {
                        $pipe['sealed_to'] = array_values(array_diff($pipe['sealed_to'], ['collar']));
                    }

                    return $row;
                },
            );
            expect($bare->severity()->value)->toBe('fail');
        }
    },
);

it('asks of a solid wall without a sheet that it bears water, and hangs its head on a seal', function () {
    $omitted = byMethod('unit-in-solid-wall', ['solid_sheet' => 'omitted']);
    $assessed = new DetailAssessment($omitted);
    expect($omitted->tolerant)
        ->toBe(['face'])
        ->and(array_filter($omitted->pieces, fn ($p) => in_array($p->id, ['field', 'course-above'], true)))
        ->toBe([])
        ->and($assessed->of(AirLine::class)->air)
        ->not->toContain(false)
        ->and($assessed->severity()->value)
        ->toBe('caution');
    $told = array_values(array_filter($assessed->findings(), fn ($f) => str_starts_with($f->code, 'rain.')));
    expect($told)
        ->toHaveCount(1)
        ->and($told[0]->code)
        ->toBe('rain.seal')
        ->and($told[0]->figures['piece'])
        ->toBe('head-strip');
    // On a wall that does not bear it, the same dressing fails.
    expect(
        rewritten($omitted, fn (array $row) => array_diff_key($row, ['tolerant' => 0, 'generated' => 0]))->severity()
            ->value,
    )->toBe('fail');
});

it(
    'takes one family of tape throughout where the project says so, and only where openings are dressed',
    function () {
        $families = function (string $school): array {
            $row = [
                'id' => 'w',
                'title' => 'W',
                'generator' => 'flanged-unit-in-fastened-sheet',
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
            ];
            $detail = readProject([
                'format' => 'apron-project/1',
                'project' => ['name' => 'P', 'units' => 'si', 'schools' => ['tapes' => $school]],
                'openings' => [$row],
            ])->details[0];
            $taped = array_filter(
                $detail->pieces,
                fn ($p) => in_array($p->kind->value, ['tape', 'membrane', 'formable'], true),
            );

            return array_values(array_unique(array_map(fn ($p) => $p->material->family->id, $taped)));
        };
        expect($families('one-family'))
            ->toBe(['butyl'])
            ->and(count($families('by-task')))
            ->toBe(2)
            ->and(
                Methods::settled(
                    Methods::named('movement-joint'),
                    ['tapes' => 'one-family', 'opening-flashing' => 'impermeable'],
                    null,
                ),
            )
            ->toBe([]);
    },
);

it('lets a school answer what a method leaves open, and never takes from it what it is called by', function () {
    $settled = fn (string $name, array $schools, array $stated = []) => Methods::settled(
        Methods::named($name),
        $schools,
        null,
        $stated,
    );
    expect($settled('strapped-unit-in-self-adhered', ['outer' => 'open', 'clips-sealed' => 'after-inner']))
        ->toBe(['outer' => 'open', 'clips_sealed' => 'after-inner'])
        ->and($settled('strapped-unit-in-self-adhered', ['dressing' => 'slit-strips']))
        ->toBe(['dressing' => 'slit-strips'])
        ->and($settled('flanged-unit-in-fluid', ['dressing' => 'formed-pan', 'over-flange' => 'strips']))
        ->toBe([])
        // A three-stage joint has its own outer seal, a sheet takes no coat, and no buck comes of itself.
        ->and($settled('three-stage-joint', ['outer' => 'open']))
        ->toBe([])
        ->and($settled('flanged-unit-in-fastened-sheet', ['dressing' => 'fluid-coat', 'buck' => 'wood']))
        ->toBe([])
        ->and($settled('unit-in-buck', ['buck' => 'wood']))
        ->toBe(['buck' => 'wood'])
        ->and($settled('unit-in-its-wall', ['sheet-laps' => '150-150'], ['first' => 'opening']))
        ->toBe(['sheet_laps' => '150-150'])
        ->and($settled('strapped-unit-in-fluid', ['unit-depth' => 'at-the-sheathing'], ['depth_mm' => 140.0]))
        ->toBe(['setback_mm' => 0.0]);
});
