<?php

declare(strict_types=1);

use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Detail\Reasons;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Opening\Presets;
use Apron\Trace\Check\AirLine;
use Apron\Trace\Check\Corners;
use Apron\Trace\Check\HeadCheck;
use Apron\Trace\Check\Laps;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\Check\VerticalJoints;
use Apron\Trace\DetailAssessment;
use Apron\Trace\Outcome;

require_once __DIR__.'/Support.php';

/** A wall of random sheets, strips and coats, no two in one step. */
function randomWall(int $seed): array
{
    mt_srand($seed);
    $pieces = [];
    for ($i = 0, $n = mt_rand(2, 9); $i < $n; $i++) {
        $kind = ['sheet', 'membrane', 'tape', 'metal', 'fluid', 'board'][mt_rand(0, 5)];
        [$u, $v] = [10 * mt_rand(0, 80), 10 * mt_rand(0, 80)];
        $rect = [$u, $v, $u + 10 * mt_rand(5, 100 - $u / 10), $v + 10 * mt_rand(5, 100 - $v / 10)];
        $edges = array_filter([
            'top' => ['open', 'adhered', 'sealed', null][mt_rand(0, 3)],
            'bottom' => ['open', 'adhered', 'sealed', null, null][mt_rand(0, 4)],
        ]);
        $pieces[] = one(
            "p$i",
            $kind,
            $i + 1,
            $rect,
            $edges === [] ? [] : ['edges' => $edges],
            mt_rand(0, 8) === 0 ? ['drain' => true] : [],
        );
    }
    if (mt_rand(0, 2) === 0) {
        array_unshift($pieces, one('back', 'sheet', 1, [0, 0, 1000, 1000]));
        $pieces = array_map(fn (array $p, int $i) => ['step' => $i + 1] + $p, $pieces, array_keys($pieces));
    }
    $pipe =
        mt_rand(0, 2) === 0
            ? [
                'penetrations' => [
                    [
                        'id' => 'pipe',
                        'facet' => 'face',
                        'rect' => [400, 500, 500, 600],
                        'sealed_to' => [$pieces[mt_rand(0, count($pieces) - 1)]['id']],
                    ],
                ],
            ]
            : [];

    return wallDetail($pieces, $pipe);
}

/** Outcome, lines and severity by source at each of many places. */
function sampled(array $shape, ?callable $u = null): array
{
    $rows = [];
    foreach (['top', 'face'] as $source) {
        for ($x = 5; $x < 1000; $x += 10) {
            $strip = stripAt($shape, $source, null, $u === null ? $x : $u($x));
            $rows["$source $x"] = [$strip['outcome'], $strip['severity'], $strip['lines']];
        }
    }

    return $rows;
}

function shapeOf(array $detail): array
{
    return traced($detail)->toArray(new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI));
}

/** Every length of a detail times a factor. */
function scaled(array $detail, float $k): array
{
    $detail['facets']['face'] = array_map(
        fn (array $r) => array_map(fn ($x) => $x * $k, $r),
        $detail['facets']['face'],
    );
    foreach ($detail['pieces'] as &$piece) {
        foreach ($piece['patches'] as &$patch) {
            $patch['rect'] = array_map(fn ($x) => $x * $k, $patch['rect']);
        }
    }
    foreach ($detail['penetrations'] ?? [] as $i => $pipe) {
        $detail['penetrations'][$i]['rect'] = array_map(fn ($x) => $x * $k, $pipe['rect']);
    }

    return $detail;
}

it('comes to the same at every scale', function (int $seed) {
    $detail = randomWall($seed);
    expect(sampled(shapeOf(scaled($detail, 2.5)), fn ($x) => $x * 2.5))->toBe(sampled(shapeOf($detail)));
})->with(range(1, 25));

it('mirrors left and right', function (int $seed) {
    $detail = randomWall($seed);
    $mirrored = $detail;
    foreach ($mirrored['pieces'] as &$piece) {
        foreach ($piece['patches'] as &$patch) {
            [$u0, $v0, $u1, $v1] = $patch['rect'];
            $patch['rect'] = [1000 - $u1, $v0, 1000 - $u0, $v1];
        }
    }
    unset($piece, $patch);
    foreach ($mirrored['penetrations'] ?? [] as $i => $pipe) {
        [$u0, $v0, $u1, $v1] = $pipe['rect'];
        $mirrored['penetrations'][$i]['rect'] = [1000 - $u1, $v0, 1000 - $u0, $v1];
    }
    expect(sampled(shapeOf($mirrored), fn ($x) => 1000 - $x))->toBe(sampled(shapeOf($detail)));
})->with(range(1, 25));

it('is not changed by splitting a patch into two joined ones', function (int $seed, bool $level) {
    $detail = randomWall($seed);
    $which = mt_rand(0, count($detail['pieces']) - 1);
    $patch = $detail['pieces'][$which]['patches'][0];
    [$u0, $v0, $u1, $v1] = $patch['rect'];
    $cut = $level ? round(($v0 + $v1) / 2) + 1 : round(($u0 + $u1) / 2) + 1;
    $split = $detail;
    // The drain is at the foot: of a level split only the lower has it.
    $upper = array_diff_key($patch, $level ? ['drain' => 1] : []);
    $split['pieces'][$which]['patches'] = $level
        ? [
            ['id' => 'a', 'rect' => [$u0, $cut, $u1, $v1], 'joined' => ['j']] + $upper,
            ['id' => 'b', 'rect' => [$u0, $v0, $u1, $cut], 'joined' => ['j']] + $patch,
        ]
        : [
            ['id' => 'a', 'rect' => [$u0, $v0, $cut, $v1], 'joined' => ['j']] + $patch,
            ['id' => 'b', 'rect' => [$cut, $v0, $u1, $v1], 'joined' => ['j']] + $patch,
        ];
    [$a, $b] = [shapeOf($detail), shapeOf($split)];
    expect(sampled($b))->toBe(sampled($a))->and($b['joints'])->toEqual($a['joints']);
    // One lap of a split patch may be told as two; its size and verdict are the same.
    $laps = fn (array $shape) => array_values(
        array_unique(
            array_map(
                fn (array $l) => json_encode([$l['outer'], $l['inner'], $l['verdict'], $l['reversed']]),
                array_filter($shape['laps'], fn (array $l) => $l['direction'] === 'horizontal'),
            ),
        ),
    );
    if ($level) {
        expect(array_diff($laps($a), $laps($b)))->toBe([]);
    }
})
    ->with(range(1, 25))
    ->with([true, false]);

it('is never made worse by a patch wholly under everything else', function (int $seed) {
    $detail = randomWall($seed);
    $under = $detail;
    foreach ($under['pieces'] as $i => $piece) {
        $under['pieces'][$i]['step'] = $piece['step'] + 1;
    }
    array_unshift($under['pieces'], one('under', 'sheet', 1, [0, 0, 1000, 1000]));
    $rank = array_flip(array_map(fn (Outcome $o) => $o->value, Outcome::cases()));
    [$before, $after] = [sampled(shapeOf($detail)), sampled(shapeOf($under))];
    foreach ($before as $place => [$outcome]) {
        // What fell past bare wall now goes on: it may be let out, or kept in by something bonded farther down, never
        // wet the wall.
        expect($after[$place][0])
            ->not->toBe('wets substrate')
            ->and($outcome === 'wets substrate' || $rank[$after[$place][0]] <= $rank[$outcome])
            ->toBeTrue("$place: $outcome → {$after[$place][0]}");
    }
})->with(
    array_values(array_filter(range(1, 60), fn (int $seed) => (randomWall($seed)['penetrations'] ?? []) === [])),
);

it('gives every strip an end, and as many lines of defence as an outcome allows', function (int $seed) {
    foreach (shapeOf(randomWall($seed))['strips'] as $strip) {
        expect($strip['path'])->not->toBe([]);
        if (in_array($strip['outcome'], ['trapped', 'wets substrate'], true)) {
            expect($strip['lines'])->toBe(0)->and($strip['severity'])->toBe('fail');
        } else {
            expect($strip['lines'] === null || $strip['lines'] >= 0)->toBeTrue();
        }
    }
})->with(range(100, 140));

it(
    'finds what the generator promises over a grid of sizes: nothing worse than the bond of its slit tapes, and no short lap or open joint',
    function (int $w, int $h, int $d) {
        $detail = Presets::all()['flanged-unit-in-fastened-sheet']->make(
            'o',
            'O',
            ['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => $d],
            new Materials([], new Catalogue),
        );
        $assessed = new Apron\Trace\DetailAssessment($detail);
        expect($assessed->worst())
            ->toBe((Presets::all()['flanged-unit-in-fastened-sheet'])->worst())
            ->and($assessed->severity()->value)
            ->toBe('caution');
        foreach ($assessed->strips as $strip) {
            if ($strip->outcome === Outcome::ReliesOnBond) {
                // Only over the width of a tape.
                expect($strip->told()->path)
                    ->not->toBe([])
                    ->and(
                        array_filter(
                            $strip->told()->path,
                            fn (array $e) => $e['code'] === 'trace.bond' && str_starts_with($e['at'], 'slit-tape'),
                        ),
                    )
                    ->not->toBe([]);
            }
        }
        expect(array_filter($assessed->of(Laps::class)->laps, fn ($lap) => $lap->verdict->value === 'fail'))
            ->toBe([])
            ->and(
                array_filter(
                    $assessed->of(VerticalJoints::class)->joints,
                    fn ($j) => $j['verdict']->value === 'fail',
                ),
            )
            ->toBe([])
            ->and($assessed->of(Corners::class)->corners['bottom-left']->value)
            ->toBe('pass')
            ->and($assessed->of(HeadCheck::class)->head)
            ->toEqual(['head-strip' => Apron\Rules\Severity::Pass])
            ->and($assessed->of(SillCheck::class)->sill['outer_joint']->value)
            ->toBe('pass')
            ->and($assessed->of(AirLine::class)->air)
            ->toBe(['sill' => true, 'head' => true, 'jamb-left' => true, 'jamb-right' => true])
            ->and($assessed->of(Corners::class)->corners['top-left']->value)
            ->toBe('pass');
    },
)->with([
    [400, 450, 90],
    [610, 700, 140],
    [900, 1200, 184],
    [1220, 2100, 235],
    [2400, 1200, 140],
    [5800, 3000, 300],
]);

/**
 * Every generator with each of its choices, over a grid of sizes: the sizes an opening takes, or three of what a joint
 * takes. A composed opening has each of its choices made otherwise alone; all of them together are tried where the
 * combinations are.
 */
function everyGenerator(): array
{
    $rows = [];
    foreach (Apron\Method\Methods::all() as $name => $generator) {
        $takes = $generator->parameters();
        $choices = [[]];
        $composed = $generator instanceof Apron\Opening\ComposedOpening;
        // The other planes of a joint are made in tests/Core/Junction.
        $asked = array_filter(
            $takes,
            fn (array $p) => $p['kind'] === 'choice' && ($composed || $p['name'] !== 'plane'),
        );
        foreach ($asked as $choice) {
            if ($composed) {
                foreach (array_slice($choice['of'], 1) as $of) {
                    $choices[] = [$choice['name'] => $of];
                }

                continue;
            }
            $choices = array_merge(
                ...array_map(
                    fn (array $set) => array_map(fn (string $of) => $set + [$choice['name'] => $of], $choice['of']),
                    $choices,
                ),
            );
        }
        $sizes = array_filter($takes, fn (array $p) => $p['kind'] === 'size');
        $grid = isset(array_column($sizes, null, 'name')['depth_mm'])
            ? [[400, 450, 120], [900, 1200, 184], [2400, 2100, 140], [5800, 3000, 300]]
            : array_map(
                fn (float $share) => array_map(
                    fn (array $p) => round($p['least'] + $share * ($p['most'] - $p['least'])),
                    array_values($sizes),
                ),
                [0.05, 0.3, 0.9],
            );
        foreach ($choices as $chosen) {
            foreach ($grid as $at) {
                $rows["$name ".implode(' ', $chosen).' '.implode(' × ', $at)] = [
                    $name,
                    $chosen + array_combine(array_column($sizes, 'name'), $at),
                ];
            }
        }
    }

    return $rows;
}

it(
    'meets what each generator promises: the outcome it declares, no fail, every corner and side of an opening closed',
    function (string $name, array $parameters) {
        $generator = Apron\Method\Methods::named($name);
        $detail = $generator->make('o', 'O', $parameters, new Materials([], new Catalogue));
        $assessed = new Apron\Trace\DetailAssessment(
            $detail,
            new Apron\Trace\School(($parameters['outer_sill'] ?? '') === 'weather-sealed'),
        );
        $codes = array_map(fn ($f) => $f->severity->value.' '.$f->code, $assessed->findings());
        expect($assessed->worst())
            ->toBe($generator->worst($parameters))
            ->and($assessed->severity()->value)
            ->not->toBe('fail', implode(', ', $codes));
        if ($detail->opening !== null) {
            expect($assessed->of(AirLine::class)->air)
                ->toBe(['sill' => true, 'head' => true, 'jamb-left' => true, 'jamb-right' => true])
                ->and($assessed->of(Corners::class)->corners['bottom-left']->value)
                ->toBe('pass')
                ->and($assessed->of(Corners::class)->corners['top-right']->value)
                ->toBe('pass')
                ->and($assessed->of(SillCheck::class)->sill['end_dams']->value)
                ->toBe('pass');
        }
        // What leaks at the unit always comes out: never trapped, never on bare wood, however the school dresses the
        // face.
        foreach ($assessed->strips as $strip) {
            if ($strip->source === 'unit') {
                expect($strip->outcome->told())->toBeIn([
                    'shed',
                    'recovered',
                    'relies on seal',
                    'relies on bond',
                    ...$detail->tolerant === [] ? [] : ['wets substrate'],
                ]);
            }
        }
        $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::US);
        foreach ($detail->steps as $step) {
            expect($words->text($step->does, 'reason', $step->figures))->not->toBe('');
        }
        foreach ($detail->pieces as $piece) {
            expect($words->listed('piece', preg_replace('/-\d+$/', '', $piece->id)))->not->toBe('', $piece->id);
        }
        expect(
            DetailWriter::write(
                DetailFormat::read(Node::of(DetailWriter::write($detail)), new Materials([], new Catalogue)),
            ),
        )->toEqual(DetailWriter::write($detail));
    },
)->with(everyGenerator());

it('couples units on straps after they are set and before they are sealed inside', function (string $name) {
    $generator = Methods::named($name);
    $detail = $generator->make(
        'o',
        'O',
        ['width_mm' => 1800.0, 'height_mm' => 1500.0, 'depth_mm' => 150.0, 'mullions' => 2.0],
        new Materials([], new Catalogue),
    );
    $at = array_column($detail->steps, 'number', 'does');
    $tied = array_map(fn (array $r) => [$r['before'], $r['after']], Reasons::of($detail));
    $set = $at['unit-on-straps'] ?? ($at['unit-with-tape'] ?? $at['door-on-blocks']);
    expect($tied)
        ->toContain([$set, $at['mullions-coupled']])
        ->toContain([$at['mullions-coupled'], $at['inner-air-seal'] ?? $at['inner-membrane']])
        ->and($detail->steps[$at['mullions-coupled'] - 1]->figures)
        ->toMatchArray(['units' => 3.0, 'each_mm' => 600.0])
        ->and((new DetailAssessment($detail))->worst())
        ->toBe($generator->worst());
})->with([
    'strapped-unit-in-fastened-sheet',
    'strapped-unit-in-self-adhered',
    'strapped-unit-in-fluid',
    'three-stage-joint',
    'door-with-flush-threshold',
    'unit-in-two-planes',
]);

it('dresses units coupled side by side: a cover over every mullion, and the promise kept', function (string $name) {
    $generator = Apron\Method\Methods::named($name);
    $parameters = ['width_mm' => 3000, 'height_mm' => 1500, 'depth_mm' => 150, 'mullions' => 2];
    $detail = $generator->make('o', 'O', $parameters, new Materials([], new Catalogue));
    $assessed = new Apron\Trace\DetailAssessment($detail);
    expect($assessed->worst())
        ->toBe($generator->worst())
        ->and($assessed->severity()->value)
        ->not->toBe('fail')
        ->and($assessed->of(AirLine::class)->air)
        ->not->toContain(false)
        ->and(array_filter($detail->pieces, fn ($p) => str_starts_with($p->id, 'mullion-cover')))
        ->toHaveCount(2);
    // Without its covers the flanges only meet, and the joint is open.
    $bare = DetailWriter::write($detail);
    $bare['pieces'] = array_values(
        array_filter($bare['pieces'], fn (array $p) => ! str_starts_with($p['id'], 'mullion-cover')),
    );
    $open = array_filter(
        traced($bare)->of(VerticalJoints::class)->joints,
        fn (array $j) => $j['verdict']->value !== 'pass' && in_array($j['u'], [1000.0, 2000.0], true),
    );
    expect($open)->not->toBe([]);
})->with(
    array_values(
        array_filter(array_keys(Apron\Method\Methods::all()), fn (string $n) => str_contains($n, 'flanged')),
    ),
);

it('keeps a unit without flange on its sill, and says so', function () {
    expect(
        fn () => Apron\Method\Methods::named('strapped-unit-in-self-adhered')->make(
            'o',
            'O',
            ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140, 'setback_mm' => 90],
            new Materials([], new Catalogue),
        ),
    )->toThrow(Apron\Drafting\CannotGenerate::class, 'no more than 60 mm');
});

it('refuses an order that contradicts itself, with the patch', function (
    array $pieces,
    string $pointer,
    string $why,
) {
    try {
        traced(wallDetail($pieces));
    } catch (FileRefused $refused) {
        expect($refused->getMessage())->toContain($pointer)->toContain($why);

        return;
    }
    expect('refused')->toBe('read');
})->with([
    'the same step' => [
        [one('a', 'sheet', 1, [0, 0, 1000, 600]), one('b', 'sheet', 1, [0, 400, 1000, 1000])],
        '/pieces/1/patches/0',
        'different steps',
    ],
    'tucks in a circle' => [
        [
            one('a', 'sheet', 1, [0, 0, 1000, 600], ['under' => 'b']),
            one('b', 'sheet', 2, [0, 400, 1000, 1000], ['under' => 'a']),
        ],
        '/pieces/0/patches/0',
        'circle',
    ],
    'no edge to go under' => [
        [one('a', 'fluid', 1, [0, 400, 1000, 1000]), one('b', 'metal', 2, [0, 0, 1000, 600], ['under' => 'a'])],
        '/pieces/1/patches/0',
        'open edge',
    ],
    'a weave' => [
        [
            one('m', 'sheet', 2, [0, 200, 1000, 800]),
            piece('s', 'sheet', 1, [
                ['face', [0, 500, 1000, 1000], ['joined' => ['j'], 'step' => 3]],
                ['face', [0, 0, 1000, 500], ['joined' => ['j'], 'step' => 1]],
            ]),
        ],
        '/pieces/1/patches',
        'weave',
    ],
    'outside its facet' => [
        [one('a', 'sheet', 1, [0, 0, 1200, 600])],
        '/pieces/0/patches/0/rect',
        'within the facet',
    ],
    'no size' => [[one('a', 'sheet', 1, [0, 0, 0, 600])], '/pieces/0/patches/0/rect', 'u0 < u1'],
    'turned inside out' => [[one('a', 'sheet', 1, [0, 600, 100, 0])], '/pieces/0/patches/0/rect', 'v0 < v1'],
]);
