<?php

declare(strict_types=1);

use Apron\Detail\Detail;
use Apron\Drafting\CannotGenerate;
use Apron\Json\CoreData;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Opening\Axes;
use Apron\Opening\Combinations;
use Apron\Opening\ComposedOpening;
use Apron\Opening\Presets;
use Apron\Trace\Check\AirLine;
use Apron\Trace\Check\Corners;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;

function composed(): ComposedOpening
{
    return Presets::all()['unit-in-its-wall'];
}

/** @return list<array<string, string>> of those along these axes that go together */
function buildable(array $axes): array
{
    return array_values(
        array_filter(Combinations::of($axes), function (array $answers): bool {
            try {
                composed()->composition($answers);

                return true;
            } catch (CannotGenerate) {
                return false;
            }
        }),
    );
}

/** The same sizes in turn for one combination after the other: small, usual, wide, a door, a deep return. */
function drawnCombination(array $answers, int $turn): Detail
{
    $sizes = [[600.0, 600.0, 140.0], [900.0, 1200.0, 140.0], [2400.0, 1500.0, 235.0], [1000.0, 2200.0, 300.0]];
    [$w, $h, $d] = $sizes[$turn % 4];
    $board =
        ($answers['outboard'] ?? '') === 'board'
            ? ['insulation_mm' => [25.0, 50.8, 150.0, 300.0, 38.1][$turn % 5]]
            : [];

    return composed()->make(
        'o',
        'O',
        $answers + $board + ['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => $d],
        new Materials([], new Catalogue),
    );
}

it(
    'builds every combination that is not refused: no fail, its declared worst met, corners, sill and air closed',
    function (string $plane) {
        // Clips and brackets are drawn as straps are; all of them are in php bin/combinations.php --grid.
        $all = array_filter(
            buildable(Combinations::DRAWN),
            fn (array $a): bool => $a['plane'] === $plane && ! in_array($a['held_by'], ['clips', 'brackets'], true),
        );
        $wrong = [];
        foreach (array_values($all) as $turn => $answers) {
            // Of those behind a board every other one has its extension jambs.
            $answers += ($answers['outboard'] ?? '') === 'board' && $turn % 2 === 1
                ? ['reveal' => 'extension-jambs']
                : [];
            // Of those that may have screens every third one does.
            $mayScreen =
                ($answers['outboard'] ?? '') !== 'board-at-buck' && ($answers['second_layer'] ?? '') !== 'hung';
            $answers += $mayScreen && $turn % 3 === 1 ? ['screens' => 'head-and-sill'] : [];
            $made = new DetailAssessment(drawnCombination($answers, $turn));
            // Strips of paper hold no air: in a framed wall that is told, and honestly so.
            $open = $answers['dressing'] === 'sheet-strips' && ! isset($answers['buck_place']);
            $as = [
                'severity' => $made->severity()->value !== 'fail',
                'worst' => $made->worst() === composed()->worst($answers),
                'air' => $open || ! in_array(false, $made->of(AirLine::class)->air, true),
                'corners' => array_diff(
                    [
                        $made->of(Corners::class)->corners['bottom-left']->value,
                        $made->of(Corners::class)->corners['top-right']->value,
                        $made->of(SillCheck::class)->sill['end_dams']->value,
                    ],
                    ['pass'],
                ) === [],
            ];
            foreach (array_keys($as, false, true) as $what) {
                $wrong[] = "$what: ".json_encode($answers);
            }
        }
        expect($wrong)->toBe([])->and(count($all))->toBeGreaterThan(20);
    },
)->with(fn (): array => Axes::all()['plane']['of']);

it(
    'closes the joint in every way that the holding allows, and only the sill that is sealed is cautioned',
    function () {
        // Brackets are sealed as straps are.
        $all = array_values(
            array_filter(
                buildable(['plane', 'held_by', ...Combinations::SEALS]),
                fn (array $a): bool => $a['held_by'] !== 'brackets',
            ),
        );
        $wrong = [];
        foreach ($all as $turn => $answers) {
            $sealed = ($answers['outer_sill'] ?? '') === 'weather-sealed';
            $made = new DetailAssessment(drawnCombination($answers, $turn), new School($sealed));
            if ($made->severity()->value === 'fail' || in_array(false, $made->of(AirLine::class)->air, true)) {
                $wrong[] = json_encode($answers);
            }
            if ($made->of(SillCheck::class)->sill['outer_joint']->value !== ($sealed ? 'caution' : 'pass')) {
                $wrong[] = 'sill: '.json_encode($answers);
            }
        }
        expect($wrong)->toBe([])->and(count($all))->toBeGreaterThan(200);
    },
);

/** Answers with what must be answered before for them to be asked at all. */
function askedFor(array $answers): array
{
    foreach (array_reverse(Axes::all()) as $axis => ['when' => $when]) {
        foreach (isset($answers[$axis]) ? $when : [] as $before => $of) {
            $answers += [$before => $of[0]];
        }
    }

    return $answers;
}

it('refuses what cannot be built with its reason and the nearest that can, and that can', function () {
    $rules = Axes::refused();
    foreach ($rules as $row) {
        $answers = askedFor(array_map(fn (array $of): string => $of[0], $row['if']));
        expect(fn () => composed()->composition($answers))->toThrow(CannotGenerate::class);
        // What is proposed takes the place of one answer, and that pair is not refused for the same reason.
        $instead = array_intersect_key($row['instead'], $row['if']);
        expect($instead)->not->toBe([], json_encode($row['if']));
        foreach ($instead as $axis => $answer) {
            expect($row['if'][$axis])->not->toContain($answer);
        }
    }
    expect(count($rules))->toBeGreaterThan(20);
});

it('says why, and what to take instead, of the answer that was given last', function () {
    expect(fn () => composed()->composition(['plane' => 'fastened-sheet', 'dressing' => 'fluid-coat']))->toThrow(
        CannotGenerate::class,
        'dressing is “fluid-coat”; expected dressing formed-pan, for a coat does not hold to a loose sheet',
    );
});

it('has a place in the usual order for every step, and no reason that goes against it', function () {
    $order = CoreData::read('figures/order');
    $usual = array_flip(array_map(fn ($n): string => $n->id(), $order->get('usual')->items(1)));
    foreach ($order->get('rules')->items(1) as $rule) {
        [$before, $after] = [$rule->get('before')->id(), $rule->get('after')->id()];
        if (isset($usual[$before], $usual[$after])) {
            expect($usual[$before])->toBeLessThan($usual[$after], "$before before $after");
        }
    }
});

it('keeps the table of combinations in the documents as it is made', function () {
    exec('php '.escapeshellarg(dirname(__DIR__, 3).'/bin/combinations.php').' --check 2>&1', $said, $code);
    expect($code)->toBe(0, implode("\n", $said));
});
