<?php

declare(strict_types=1);

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Curve;

function assessedWall(array $file): AssemblyAssessment
{
    $project = readProject($file);

    return new AssemblyAssessment($project->brief, $project->assemblies[0]);
}

it('takes a curve in a line between its points and holds it at the ends', function () {
    $curve = new Curve([0, 50, 100], [10, 20, 80]);
    expect(array_map($curve->value(...), [-5, 0, 25, 50, 75, 100, 120]))->toEqual([10, 10, 15, 20, 50, 80, 80]);
});

it('takes a foam at the conductivity of its own mean temperature', function () {
    $file = wallFile([[0.03, 60, 100]], -10);
    $file['materials'][0]['conductivity_curve'] = [
        ['mean_c' => -20, 'conductivity_w_mk' => 0.04],
        ['mean_c' => 20, 'conductivity_w_mk' => 0.02],
    ];
    $assessed = assessedWall($file);
    // λ(T) = 0.03 − 0.0005 T is a line, so the mean of the two faces, found again from the answer, must give the same
    // R.
    $profile = $assessed->profiles[0];
    $mean = ($profile->temperatures[0] + $profile->temperatures[count($profile->temperatures) - 1]) / 2;
    expect($profile->resistance - 0.17)
        ->toEqualWithDelta(0.1 / (0.03 - 0.0005 * $mean), 1e-9)
        ->and($assessed->heat->total())
        ->toEqualWithDelta(0.17 + 0.1 / 0.03, 1e-12);
});

it('opens a smart film when it is damp: the permeance it ends with is that of the humidity it sees', function (
    float $outdoors,
) {
    $file = wallFile([[0.25, 8, 12.5], [0.3, 1, 0.2], [0.04, 1, 140], [0.13, 60, 12]], $outdoors, 80, [
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 21, 'rh_pct' => 45],
    ]);
    $file['materials'][1] = [
        'id' => 'm1',
        'name' => 'film',
        'resistance_m2k_w' => 0.0005,
        'permeance_ng_pa_s_m2' => 40,
        'permeance_curve' => [
            ['rh_pct' => 0, 'permeance_ng_pa_s_m2' => 40],
            ['rh_pct' => 50, 'permeance_ng_pa_s_m2' => 60],
            ['rh_pct' => 100, 'permeance_ng_pa_s_m2' => 2000],
        ],
    ];
    $profile = assessedWall($file)->profiles[0];
    [$inner, $outer] = [$profile->at(1), $profile->at(2)];
    $humidity =
        50 *
        ($profile->pressure[$inner] / $profile->saturation[$inner] +
            $profile->pressure[$outer] / $profile->saturation[$outer]);
    $permeance = 200 / ($profile->sd[$outer] - $profile->sd[$inner]);
    expect($permeance)->toEqualWithDelta(
        (new Curve([0, 50, 100], [40, 60, 2000]))->value($humidity),
        1e-4 * $permeance,
    );
})->with([-15, 0, 10, 24, 30]);

it('takes the wet cup outside of the insulation and the dry one inside (ISO 10456:2007, 8; from memory)', function () {
    $layer = fn (int $i, array $more) => [
        'id' => "m$i",
        'name' => 'board',
        'conductivity_w_mk' => 0.13,
        'vapour_resistance_factor' => 200,
    ] + $more;
    $file = wallFile([[0.13, 200, 12], [0.04, 1, 140], [0.13, 200, 12]]);
    $file['materials'][0] = $layer(0, ['vapour_resistance_factor_wet' => 70]);
    $file['materials'][2] = $layer(2, ['vapour_resistance_factor_wet' => 70]);
    $path = assessedWall($file)->path;
    [$sd, $last] = [$path->sd, count($path->sd) - 1];
    expect($sd[1])
        ->toEqualWithDelta(2.4, 1e-12)
        ->and($sd[$last] - $sd[$last - 1])
        ->toEqualWithDelta(0.84, 1e-12);
});

it('mirrors the profile when the layers and the airs are turned round', function (int $seed) {
    mt_srand($seed);
    $layers = array_map(
        fn () => [mt_rand(20, 500) / 1000, 10 ** (mt_rand(0, 300) / 100), mt_rand(5, 150)],
        range(1, mt_rand(2, 6)),
    );
    [$warm, $cold] = [[mt_rand(15, 25), mt_rand(30, 60)], [mt_rand(-20, 10), mt_rand(50, 95)]];
    $profile = function (array $layers, array $in, array $out, float $rsi, float $rse) {
        $file = wallFile(
            $layers,
            more: [
                'conditions' => [
                    [
                        'name' => 'c',
                        'indoor_c' => $in[0],
                        'indoor_rh_pct' => $in[1],
                        'outdoor_c' => $out[0],
                        'outdoor_rh_pct' => $out[1],
                    ],
                ],
            ],
        );
        $file['assemblies'][0] += ['rsi_m2k_w' => $rsi, 'rse_m2k_w' => $rse];

        return assessedWall($file)->profiles[1];
    };
    $one = $profile($layers, $warm, $cold, 0.13, 0.04);
    $other = $profile(array_reverse($layers), $cold, $warm, 0.04, 0.13);
    expect($other->temperatures)
        ->toEqualWithDelta(array_reverse($one->temperatures), 1e-9)
        ->and($other->pressure)
        ->toEqualWithDelta(array_reverse($one->pressure), 1e-6)
        ->and($other->uncapped)
        ->toEqualWithDelta(array_reverse($one->uncapped), 1e-6)
        ->and($other->heatFlux)
        ->toEqualWithDelta(-$one->heatFlux, 1e-9)
        ->and($other->totalRate())
        ->toEqualWithDelta($one->totalRate(), 1e-9);
})->with(range(1, 15));

it('never cools the sheathing by more insulation outside of it while it is colder outdoors', function (int $seed) {
    mt_srand($seed);
    [$cavity, $board, $outdoors] = [mt_rand(50, 200), mt_rand(5, 25), mt_rand(-30, 15)];
    $plane = function (float $mm) use ($cavity, $board, $outdoors): float {
        $profile = assessedWall(
            wallFile([[0.25, 10, 12.5], [0.04, 1, $cavity], [0.13, 60, $board], [0.035, 1, $mm]], $outdoors),
        )->profiles[0];

        return $profile->temperatures[$profile->at(2)];
    };
    $thin = mt_rand(1, 100);
    expect($plane($thin + mt_rand(1, 100)))->toBeGreaterThan($plane($thin));
})->with(range(1, 15));

it('changes the water of a year by under one in a hundred when a layer is split anywhere', function (int $seed) {
    mt_srand($seed);
    $months = array_map(fn (int $m) => ['mean_c' => 4 - 16 * cos((2 * M_PI * $m) / 12), 'rh_pct' => 80], range(0, 11));
    $at = mt_rand(20, 130);
    $total = function (array $wool) use ($months): float {
        $year = assessedWall(
            wallFile(
                [[0.25, 10, 12.5], ...$wool, [0.13, 120, 12]],
                more: [
                    'climate' => ['name' => 'c', 'months' => $months],
                    'indoor' => ['kind' => 'fixed', 'temperature_c' => 21, 'rh_pct' => 50],
                ],
            ),
        )->year;

        return array_sum(array_map(max(...), $year->accumulated));
    };
    expect($total([[0.04, 1, $at], [0.04, 1, 150 - $at]]))->toEqualWithDelta(
        $total([[0.04, 1, 150]]),
        0.01 * $total([[0.04, 1, 150]]),
    );
})->with(range(1, 8));

it(
    'condenses within a homogeneous layer where the string leaves saturation (closed form: slope of saturation over sd)',
    function () {
        // One layer, warm and damp inside, cold and damp outside: the string follows saturation between two touch
        // points.
        $assessed = assessedWall(
            wallFile([[0.04, 1, 400]], -15, 95, [
                'indoor' => ['kind' => 'fixed', 'temperature_c' => 22, 'rh_pct' => 85],
            ]),
        );
        $profile = $assessed->profiles[0];
        $within = array_filter(
            $profile->condensation,
            fn (int $node) => $profile->path->interface[$node] < 0,
            ARRAY_FILTER_USE_KEY,
        );
        expect(count($within))->toBeGreaterThan(3);
        foreach ($within as $node => $rate) {
            // Between neighbours that are touched as well, what is left is δ₀ times the second difference of
            // saturation.
            if (isset($within[$node - 1], $within[$node + 1])) {
                $step = $profile->sd[$node] - $profile->sd[$node - 1];
                $second =
                    ($profile->saturation[$node - 1] -
                        2 * $profile->saturation[$node] +
                        $profile->saturation[$node + 1]) /
                    $step;
                expect($rate)->toEqualWithDelta(Air::VAPOUR_PERMEABILITY * $second, 1e-15);
            }
        }
    },
);

it(
    'says that the room is damp where no wall could be warm enough, and that the wall is cold where one could',
    function (float $humidity, string $code) {
        // Nearly as warm outdoors as in: at 85 % indoors no surface stays below four fifths of saturation.
        $assessed = assessedWall(
            wallFile([[0.04, 1, 20]], 19, 90, [
                'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => $humidity],
            ]),
        );
        expect(array_map(fn ($f) => $f->code, $assessed->findings()))->toContain($code);
    },
)->with([[85, 'surface.room-damp'], [79, 'surface.mould'], [50, 'surface.no-mould']]);
