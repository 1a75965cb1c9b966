<?php

declare(strict_types=1);

use Apron\Detail\DetailWriter;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Trace\Check\AirLine;
use Apron\Trace\Check\Corners;
use Apron\Trace\Check\HeadCheck;
use Apron\Trace\Check\Laps;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\Check\VerticalJoints;
use Apron\Trace\DetailAssessment;

require_once __DIR__.'/Support.php';

/** An opening behind a board as its method makes it, then with some of its pieces taken away or cut short. */
function behindBoard(int $seed): array
{
    mt_srand($seed);
    $parameters = [
        'width_mm' => 100.0 * mt_rand(6, 20),
        'height_mm' => 100.0 * mt_rand(6, 20),
        'depth_mm' => 140.0,
        'insulation_mm' => 10.0 * mt_rand(10, 20),
    ];
    [$method, $more] = [
        ['unit-in-two-planes', ['drains_to' => 'sheathing']],
        ['unit-in-two-planes', ['drains_to' => 'outer-face']],
        ['flanged-unit-in-two-planes', ['mullions' => (float) mt_rand(0, 1)]],
    ][$seed % 3];
    $detail = DetailWriter::write(
        Methods::named($method)->make('o', 'O', $parameters + $more, new Materials([], new Catalogue)),
    );
    unset($detail['generated'], $detail['steps']);
    for ($i = mt_rand(0, 3); $i > 0; $i--) {
        unset($detail['pieces'][mt_rand(0, count($detail['pieces']) - 1)]);
        $detail['pieces'] = array_values($detail['pieces']);
    }
    foreach ($detail['pieces'] as &$piece) {
        foreach ($piece['patches'] as &$patch) {
            if (mt_rand(0, 5) === 0 && $patch['rect'][3] - $patch['rect'][1] > 40) {
                // Cut short above or below: what it was joined to there it no longer meets.
                mt_rand(0, 1) === 0 ? ($patch['rect'][1] += 20) : ($patch['rect'][3] -= 20);
            }
            if (mt_rand(0, 6) === 0) {
                $patch['edges'] = [['top', 'bottom'][mt_rand(0, 1)] => ['open', 'adhered', 'sealed'][mt_rand(0, 2)]];
            }
        }
    }

    return $detail;
}

/** What comes of every strip, by source, facet and the middle of the strip. */
function told(array $detail, ?callable $place = null): array
{
    $rows = [];
    foreach (traced($detail)->strips as $strip) {
        [$facet, $u] =
            $place === null
                ? [$strip->facet, ($strip->u0 + $strip->u1) / 2]
                : $place($strip->facet, ($strip->u0 + $strip->u1) / 2);
        $rows["$strip->source $facet ".round($u, 3)] = [
            $strip->outcome->told(),
            $strip->severity->value,
            $strip->lines,
        ];
    }
    ksort($rows);

    return $rows;
}

it('traces an opening as it does without a board, as long as nothing lies on that', function (string $name) {
    $detail = DetailWriter::write(
        Methods::named($name)->make(
            'o',
            'O',
            ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0],
            new Materials([], new Catalogue),
        ),
    );
    $boarded = array_replace_recursive($detail, ['opening' => ['outer_board_mm' => 120]]);
    $shape = function (array $d): array {
        $a = traced($d);

        return [
            told($d),
            array_map(fn ($l) => [$l->outer, $l->inner, $l->size, $l->reversed], $a->of(Laps::class)->laps),
            $a->of(VerticalJoints::class)->joints,
            $a->of(Corners::class)->corners,
            $a->of(HeadCheck::class)->head,
            $a->of(SillCheck::class)->sill,
            $a->of(AirLine::class)->air,
        ];
    };
    expect($shape($boarded))->toEqual($shape($detail));
})->with(
    array_values(
        array_filter(
            Methods::openings(),
            fn (string $n) => ! in_array(
                $n,
                ['round-unit', 'triangular-unit', 'unit-in-two-planes', 'flanged-unit-in-two-planes'],
                true,
            ),
        ),
    ),
);

it('mirrors left and right in both planes', function (int $seed) {
    $detail = behindBoard($seed);
    $w = $detail['opening']['width_mm'];
    $other = fn (string $facet): string => strtr($facet, ['left' => 'right', 'right' => 'left']);
    $mirrored = $detail;
    foreach ($mirrored['pieces'] as &$piece) {
        foreach ($piece['patches'] as &$patch) {
            [$u0, $v0, $u1, $v1] = $patch['rect'];
            // Depths on a jamb run inward on both sides.
            $patch['rect'] = str_contains($patch['facet'], 'jamb-') ? $patch['rect'] : [$w - $u1, $v0, $w - $u0, $v1];
            $patch['facet'] = $other($patch['facet']);
        }
    }
    unset($piece, $patch);
    expect(
        told($mirrored, fn (string $facet, float $u) => [$other($facet), str_contains($facet, 'jamb-') ? $u : $w - $u]),
    )->toBe(told($detail));
})->with(range(1, 24));

it('comes to the same at every scale in both planes', function (int $seed) {
    $detail = behindBoard($seed);
    $twice = $detail;
    foreach (
        [
            'width_mm',
            'height_mm',
            'depth_mm',
            'margin_mm',
            'sill_fall_mm',
            'back_dam_mm',
            'head_of_water_mm',
            'outer_board_mm',
        ] as $length
    ) {
        $twice['opening'][$length] *= 2;
    }
    $twice['unit']['z'] = array_map(fn ($z) => 2 * $z, $twice['unit']['z']);
    foreach ($twice['pieces'] as &$piece) {
        foreach ($piece['patches'] as &$patch) {
            $patch['rect'] = array_map(fn ($x) => 2 * $x, $patch['rect']);
        }
    }
    unset($piece, $patch);
    expect(told($twice, fn (string $facet, float $u) => [$facet, $u / 2]))->toBe(told($detail));
})->with(range(25, 48));

it('is spoilt by the loss of any one of its flashings, in the plane that piece serves', function (
    string $piece,
    string $source,
    string $facet,
    string $method = 'unit-in-two-planes',
) {
    $detail = DetailWriter::write(
        Methods::named($method)->make(
            'o',
            'O',
            ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0],
            new Materials([], new Catalogue),
        ),
    );
    expect(traced($detail)->severity()->value)->toBeIn(['pass', 'note']);
    $detail['pieces'] = array_values(array_filter($detail['pieces'], fn (array $p) => $p['id'] !== $piece));
    $harmed = array_filter(
        traced($detail)->strips,
        fn ($s) => $s->severity->value === 'fail' && $s->source === $source && $s->facet === $facet,
    );
    expect($harmed)->not->toBe([]);
})->with([
    'the pan' => ['pan', 'unit', 'sill'],
    'a liner' => ['liner-left', 'unit', 'jamb-left'],
    'the second pan' => ['second-pan', 'face', 'reveal-sill'],
    'the metal at the sill' => ['sill-edge', 'face', 'reveal-sill'],
    'the membrane below' => ['field', 'top', 'face'],
    'the course above' => ['course-above', 'top', 'face'],
    'with a flange, the pan' => ['pan', 'unit', 'sill', 'flanged-unit-in-two-planes'],
    'with a flange, the second pan' => ['second-pan', 'face', 'face', 'flanged-unit-in-two-planes'],
    'with a flange, the metal at the sill' => ['sill-edge', 'face', 'face', 'flanged-unit-in-two-planes'],
    'with a flange, the course above' => ['course-above', 'top', 'face', 'flanged-unit-in-two-planes'],
]);

it('has nothing to say of a sound opening but that it is', function () {
    $detail = Methods::named('unit-in-two-planes')->make(
        'o',
        'O',
        ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0],
        new Materials([], new Catalogue),
    );
    expect(
        array_map(fn ($f) => $f->severity->value.' '.$f->code, (new DetailAssessment($detail))->findings()),
    )->toBe(['pass detail.sound']);
});

it('tells a head flashing that is left out by what is no longer shielded', function () {
    $detail = DetailWriter::write(
        Methods::named('unit-in-two-planes')->make(
            'o',
            'O',
            ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0],
            new Materials([], new Catalogue),
        ),
    );
    $detail['pieces'] = array_values(array_filter($detail['pieces'], fn (array $p) => $p['id'] !== 'head-flashing'));
    $without = traced($detail);
    // The course above stops clear of the opening for the flashing's sake: the liner's leg below it is then met at its
    // edge, or the wall is bare.
    expect($without->severity()->value)
        ->toBe('fail')
        ->and($without->worst()->told())
        ->toBe('wets substrate');
});

it('lets what runs on a flanged unit fall on the second pan, and what leaks at it down the sheathing', function () {
    $detail = Methods::named('flanged-unit-in-two-planes')->make(
        'o',
        'O',
        ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0],
        new Materials([], new Catalogue),
    );
    foreach ((new DetailAssessment($detail))->strips as $result) {
        $route = $result->told()->route;
        if ($result->source === 'unit') {
            expect(end($route)[0])
                ->toBe('face')
                ->and($result->outcome->told())
                ->toBeIn(['shed', 'recovered']);
        }
        // Between its flanges' sides the board's edge is wetted, and only there.
        if ($result->source === 'top' && $result->facet === 'face') {
            expect(in_array('reveal-sill', array_column($route, 0), true))->toBeFalse();
        }
    }
});
