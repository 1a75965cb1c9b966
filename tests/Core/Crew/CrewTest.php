<?php

declare(strict_types=1);

// What the crew gets: rolls, cards, pieces of the joint, depths, and the drill. Expected figures are worked by hand
// beside each.

use Apron\Crew\Drill;
use Apron\Crew\Joinery;
use Apron\Crew\Rolls;
use Apron\Crew\StepCards;
use Apron\Detail\Detail;
use Apron\Detail\Reasons;
use Apron\Drafting\CannotGenerate;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Method\UnitDepths;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;
use Apron\Trace\HalfBuilt;

require_once __DIR__.'/../Trace/Support.php';

function made(string $name, array $parameters): Detail
{
    return Methods::named($name)->make('o', 'O', $parameters, new Materials([], new Catalogue));
}

const WINDOW = ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0];

it(
    'cuts each piece from the narrowest roll that takes it, side by side where there is room, and says what is left over',
    function () {
        $rows = [];
        foreach ((new Rolls)->of(made('flanged-unit-in-fastened-sheet', WINDOW)) as $row) {
            $rows[$row['material'].' '.$row['roll_mm']] = [$row['run_mm'], $row['rolls'], $row['waste_pct']];
        }
        expect($rows)->toEqual([
            // pan 1200 × 215 and head liner 1050 × 215 from 230: 2250 of run, 215/230 used
            'flashing-formable 230' => [2250.0, 1, 6.5],
            // two jamb strips 1275 × 150 from 150
            'flashing-strip 150' => [2550.0, 1, 0.0],
            // head strip 1280 × 230, two liners 1125 × 215 from 230: (1280·230 + 2·1125·215) / (3530·230) = 0.9584
            'flashing-strip 230' => [3530.0, 1, 4.2],
            'seam-tape 150' => [600.0, 1, 0.0],
        ]);
    },
);

it(
    'lays two narrow pieces side by side, joins a piece wider than any roll, and counts the rolls of a long run',
    function () {
        // Corner strips of 200 for walls of 6000: one of 200 from a roll of 230.
        $corner = (new Rolls)->of(
            made('wall-corner', ['height_mm' => 6000.0, 'dressed_with' => 'tape', 'leg_mm' => 70.0]),
        );
        expect($corner)
            ->toHaveCount(1)
            ->and($corner[0]['roll_mm'])
            ->toBe(150.0)
            ->and($corner[0]['run_mm'])
            ->toBe(6000.0)
            ->and($corner[0]['waste_pct'])
            ->toBe(6.7);
        // Four squares of 150 for the corners come from one run of 300 cut twice across; from a roll of 150 they stand
        // in a row.
        $patches = array_values(
            array_filter(
                (new Rolls)->of(made('flanged-unit-in-taped-insulation', WINDOW)),
                fn (array $r) => $r['material'] === 'flashing-formable',
            ),
        );
        expect($patches[0]['run_mm'])->toBe(600.0)->and($patches[0]['waste_pct'])->toBe(0.0);
        // A pan 1500 deep is wider than any formable roll (400): (1500 − 100) / (400 − 100) → 5 lengths, each with its
        // lap.
        $deep = array_values(
            array_filter(
                (new Rolls)->of(made('flanged-unit-in-fastened-sheet', ['depth_mm' => 1000.0] + WINDOW)),
                fn (array $r) => $r['material'] === 'flashing-formable',
            ),
        );
        expect($deep[0]['roll_mm'])
            ->toBe(400.0)
            ->and(array_column($deep[0]['pieces'], 'lengths', 'id'))
            ->toBe(['pan' => 4, 'head-liner' => 4])
            ->and($deep[0]['run_mm'])
            ->toBe(4 * 1200.0 + 4 * 1050.0);
        // Level tapes of 6000 + 2 · 700: four of them (two upright ones short) pass the length of a roll of 22 860.
        $long = array_values(
            array_filter(
                (new Rolls)->of(
                    made(
                        'flanged-unit-in-faced-sheathing',
                        ['width_mm' => 6000.0, 'margin_mm' => 5000.0, 'jamb_strip_mm' => 150.0] + WINDOW,
                    ),
                ),
                fn (array $r) => $r['material'] === 'seam-tape',
            ),
        );
        expect($long[0]['run_mm'])
            ->toBe(2 * 16000.0 + 2 * 2500.0 + 2 * 2500.0)
            ->and($long[0]['rolls'])
            ->toBe(2);
    },
);

it('wastes nothing less than nothing, over every generator', function (string $name, array $sizes) {
    foreach ((new Rolls)->of(made($name, $sizes)) as $row) {
        $used = array_sum(array_map(fn (array $p) => $p['length_mm'] * $p['width_mm'], $row['pieces']));
        expect($row['waste_pct'])
            ->toBeGreaterThanOrEqual(0.0)
            ->toBeLessThan(100.0)
            ->and($row['run_mm'] * $row['roll_mm'])
            ->toBeGreaterThanOrEqual($used - 1e-6)
            ->and($row['rolls'])
            ->toBeGreaterThanOrEqual((int) ceil($row['run_mm'] / $row['roll_length_mm'] - 1e-9));
    }
})->with([
    ['flanged-unit-in-fastened-sheet', WINDOW],
    ['unit-in-buck', WINDOW],
    ['three-stage-joint', WINDOW],
    ['parapet', ['length_mm' => 6000.0]],
    ['through-wall-flashing', ['length_mm' => 5000.0]],
    ['round-penetration', ['diameter_mm' => 110.0]],
]);

it('tells the crew at each step where a piece lies and what it laps', function () {
    $cards = array_column(StepCards::of(made('flanged-unit-in-fastened-sheet', WINDOW)), null, 'number');
    $said = fn (int $step) => array_map(
        fn (array $p) => [
            $p['piece']->id,
            $p['facets'],
            array_map(fn ($l) => "$l->outer over $l->inner $l->size", $p['laps']),
        ],
        $cards[$step]['pieces'],
    );
    expect($said(2))
        ->toBe([['pan', ['sill', 'jamb-left', 'jamb-right', 'face'], []]])
        ->and($said(3)[0])
        ->toBe(['liner-left', ['jamb-left', 'face'], ['liner-left over pan 75', 'liner-left over pan 75']])
        // The flap belongs to the sheet of step 1 and comes down in step 8, over the head strip by 230 − 10 − 100.
        ->and($said(8))
        ->toBe([['sheet', ['face'], ['sheet over head-strip 120']]])
        ->and($cards[10]['pieces'])
        ->toBe([]);
    // What is tucked under is told as under.
    $tucked = array_column(StepCards::of(made('wall-to-roof', ['length_mm' => 1000.0])), null, 'number')[3][
        'pieces'
    ][0];
    expect($tucked['piece']->id)
        ->toBe('wall-sheet')
        ->and(array_map(fn ($l) => "$l->outer over $l->inner $l->size", $tucked['laps']))
        ->toBe(['wall-sheet over wall-top-strip 180', 'roof-membrane over wall-sheet 100']);
});

it('works out the joint round a unit', function () {
    $rows = array_column(
        Joinery::of(WINDOW + ['gap_mm' => 13.0, 'frame_mm' => 80.0, 'unit_kg' => 45.36]),
        'figures',
        'what',
    );
    expect($rows['joinery.membrane']['length_mm'])
        ->toBe(2 * (874.0 + 1174.0) + 100 + 4 * 38) // outline, lap, four folds
        ->and($rows['joinery.strips']['sill_mm'])
        ->toBe(900.0 + 152) // opening and 6 in
        ->and($rows['joinery.shims']['area_mm2'])
        ->toBe(1613) // 100 lb: 2.5 in² = 1613 mm²
        ->and($rows['joinery.shims']['side_mm'])
        ->toBe(29.0) // √(1613 / 2) = 28.4
        ->and($rows['joinery.blocks']['block_mm'])
        ->toBe(13.0) // half of 26
        ->and($rows['joinery.foam']['grow_mm'])
        ->toBe(32.0)
        ->and($rows['joinery.foam']['grow_l'])
        ->toBe(1.75) // 4200 × 13 × 32 mm³
        ->and($rows['joinery.sealant']['movement_mm'])
        ->toEqualWithDelta(0.00006 * 587 * 60, 1e-9) // half the frame, 60 K
        ->and($rows['joinery.sealant']['depth_mm'])
        ->toBe(6.5)
        ->and($rows['joinery.sealant']['rod_from_mm'])
        ->toBe(16.25)
        ->and($rows['joinery.tape']['from_mm'])
        ->toBeLessThan(13.0 - 2.2)
        ->and($rows['joinery.tape']['sill_mm'])
        ->toBe(874.0 + 12.7) // up to 3 ft: half an inch
        ->and($rows['joinery.tape']['jamb_mm'])
        ->toEqualWithDelta(1174 * 1.05, 1e-9) // above: five in a hundred
        ->and($rows['joinery.buck']['nails'])
        ->toBe(2 * (4 + 5)) // 900 / 280, 1200 / 280, rounded up
        // 6 × 3 in with a waist of 1 in, common practice.
        ->and(array_intersect_key($rows['joinery.bow-tie'], ['length_mm' => 1, 'width_mm' => 1, 'waist_mm' => 1]))
        ->toBe(['length_mm' => 152.4, 'width_mm' => 76.2, 'waist_mm' => 25.4]);
});

it('says where no tape fits and where the joint is too narrow to move', function () {
    $long = array_column(
        Joinery::of([
            'width_mm' => 6000.0,
            'height_mm' => 2400.0,
            'depth_mm' => 140.0,
            'gap_mm' => 6.0,
            'frame_mm' => 80.0,
            'unit_kg' => 300.0,
        ]),
        'figures',
        'what',
    );
    // 0.00006 · 2994 · 60 = 10.8 mm of movement in a joint of 6.
    expect($long)
        ->toHaveKeys(['joinery.tape-none', 'joinery.sealant-narrow'])
        ->not->toHaveKey('joinery.tape')
        ->not->toHaveKey('joinery.sealant')
        ->and($long['joinery.sealant-narrow']['needs_mm'])
        ->toEqualWithDelta(4 * 0.00006 * 2994 * 60, 1e-6);
});

it('refuses sizes of a joint that make no sense, by name', function (array $change, string $name) {
    try {
        Joinery::of($change + WINDOW + ['gap_mm' => 13.0, 'frame_mm' => 80.0, 'unit_kg' => 45.0]);
    } catch (CannotGenerate $refused) {
        expect($refused->parameter)->toBe($name);

        return;
    }
    expect('refused')->toBe('worked out');
})->with([
    [['gap_mm' => 0.0], 'gap_mm'],
    [['frame_mm' => 200.0], 'frame_mm'],
    [['unit_kg' => -1.0], 'unit_kg'],
    [['width_mm' => 10.0], 'width_mm'],
]);

it('has words for every row of the joint, in both systems', function (UnitSystem $units) {
    $words = new Words($units);
    foreach ([[13.0, 900.0], [6.0, 6000.0]] as [$gap, $width]) {
        foreach (
            Joinery::of(
                ['gap_mm' => $gap, 'width_mm' => $width, 'frame_mm' => 80.0, 'unit_kg' => 45.0] + WINDOW,
            ) as $row
        ) {
            expect($words->text($row['what'], 'title'))
                ->not->toBe('')
                ->and($words->text($row['what'], 'reason', $row['figures']))
                ->not->toBe('');
        }
    }
})->with([UnitSystem::SI, UnitSystem::US]);

it('puts a unit at each depth and says what it costs: reveals, flashing, air line', function () {
    $rows = array_column(
        UnitDepths::of(['depth_mm' => 300.0, 'setback_mm' => 60.0] + WINDOW, 150.0, new Materials([], new Catalogue)),
        null,
        'place',
    );
    // Frame 80 in a return of 300, 150 of it insulation.
    expect(array_map(fn (array $r) => [$r['setback_mm'], $r['inner_reveal_mm'], $r['overhang_mm']], $rows))
        ->toEqual([
            'outer-face' => [0.0, 220.0, 80.0],
            'in-line-with-insulation' => [35.0, 185.0, 80.0],
            'at-the-sheathing' => [150.0, 70.0, 0.0],
            'middle-third' => [110.0, 110.0, 40.0],
            'as-drawn' => [60.0, 160.0, 80.0],
        ])
        ->and(array_column($rows, 'air'))
        ->not->toContain(false)
        ->and($rows['at-the-sheathing']['sill_flashing_mm'])
        ->toBe(round(hypot(150, (8 * 150) / 300), 1));
    expect(fn () => UnitDepths::of(WINDOW, 200.0, new Materials([], new Catalogue)))
        ->toThrow(CannotGenerate::class, 'insulation_mm')
        ->and(fn () => UnitDepths::of(WINDOW, 0.0, new Materials([], new Catalogue), 'parapet'))
        ->toThrow(CannotGenerate::class, 'straps or clips');
});

it('finds no fault with the right order, and names what a wrong one goes against', function (
    string $name,
    array $sizes,
) {
    $detail = made($name, $sizes);
    $order = array_map(fn ($s) => $s->number, $detail->steps);
    $right = Drill::run($detail, $order);
    expect($right->broken)
        ->toBe([])
        ->and($right->refused)
        ->toBeNull()
        ->and((new DetailAssessment($right->built))->worst())
        ->toBe(Methods::named($name)->worst());
    $wrong = Drill::run($detail, array_reverse($order));
    expect(count($wrong->broken))->toBe(count(Reasons::of($detail)));
    // A swap of neighbours breaks something just where a reason ties the two.
    foreach (array_slice($order, 1) as $i => $second) {
        $swapped = $order;
        [$swapped[$i], $swapped[$i + 1]] = [$second, $order[$i]];
        expect(Drill::run($detail, $swapped)->broken === [])->toBe(
            Reasons::against($detail, $order[$i]) === null,
            "$name, $order[$i] and $second",
        );
    }
})->with([
    ['flanged-unit-in-fastened-sheet', WINDOW],
    ['flanged-unit-over-under-sill-sheet', WINDOW],
    ['strapped-unit-in-self-adhered', WINDOW],
    ['unit-in-buck', WINDOW],
    ['wall-to-roof', ['length_mm' => 900.0]],
    ['parapet', ['length_mm' => 900.0]],
]);

it('rains on what a wrong order makes: sheet over the pan traps what the pan lets go', function () {
    $detail = made('apron-flashing', ['length_mm' => 900.0]);
    // Wall sheet before the apron: the apron's upstand lies outside of it, and its open top takes the water in, onto
    // bare wood below the sheet or behind the metal.
    $drill = Drill::run($detail, [1, 2, 4, 3]);
    $states = HalfBuilt::eachStep($drill->built);
    expect(array_map(fn (array $r) => "{$r['before']}-{$r['after']}", $drill->broken))
        ->toBe(['3-4'])
        ->and(end($states)['worst']->told())
        ->not->toBe('shed')
        ->and(array_map(fn ($s) => $s->does, $drill->built->steps))
        ->toBe(['underlay-upturn', 'roof-covering', 'sheet-over-upstand', 'apron']);
});

it('shuffles the same way for the same seed, never into the right order, and takes only whole orders', function () {
    $detail = made('wall-to-roof', ['length_mm' => 900.0]);
    foreach (range(1, 30) as $seed) {
        $order = Drill::shuffled($detail, $seed);
        expect($order)
            ->toBe(Drill::shuffled($detail, $seed))
            ->not->toBe([1, 2, 3])
            ->toEqualCanonicalizing([1, 2, 3]);
    }
    foreach ([[1, 2], [1, 2, 2], [1, 2, 4], []] as $wrong) {
        expect(fn () => Drill::run($detail, $wrong))->toThrow(InvalidArgumentException::class, 'each once: 1, 2, 3');
    }
});

it('takes a strip of so many inches from the roll that is called so, and wastes nothing by the name', function (
    float $inches,
    float $roll,
) {
    $mm = $inches * 25.4;
    $strip = one('a', 'membrane', 1, [0, 0, 900, min(900, $mm)], [
        'cut' => ['length_mm' => 900, 'width_mm' => $mm],
    ]);
    $detail = Apron\Detail\DetailFormat::read(
        Apron\Json\Node::of(wallDetail([$strip])),
        new Apron\Material\Materials([], new Apron\Material\Catalogue),
    );
    $rows = (new Apron\Crew\Rolls)->of($detail);
    expect($rows[0]['roll_mm'])->toBe($roll)->and($rows[0]['waste_pct'])->toBeLessThan(5.0);
})->with([[4.0, 100.0], [6.0, 150.0], [9.0, 230.0], [12.0, 300.0], [48.0, 1220.0]]);
