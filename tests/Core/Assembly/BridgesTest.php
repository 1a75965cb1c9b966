<?php

declare(strict_types=1);

use Apron\Assembly\MetalFraming;
use Apron\Assembly\SurfaceFilms;
use Apron\Assembly\ThermalResistance;
use Apron\Judgement\AssemblyAssessment;
use Apron\Quantity\Conversion;

/** Gypsum, wool of the given R (h·ft²·°F/Btu) between steel studs, gypsum: the wall of the table. */
function steelWall(float $r, float $depth, float $spacing, array $more = [], array $framing = []): ThermalResistance
{
    $conductivity = $depth / 1000 / ($r * Conversion::RSI_PER_R);

    return new ThermalResistance(
        wall([
            [0.25, 10, 12.5],
            [
                $conductivity,
                1,
                $depth,
                [
                    'framing' => $framing + [
                        'material' => 'steel-galvanised',
                        'fraction' => 0.003,
                        'spacing_mm' => $spacing,
                        'depth_mm' => $depth,
                        'gauge_mm' => 1.1,
                        'flange_mm' => 41,
                    ],
                ],
            ],
            [0.25, 10, 12.5],
            ...$more,
        ]),
    );
}

it('takes what is left between steel studs from the table of ASHRAE 90.1-2010, A9.2-2 (from memory)', function (
    float $r,
    float $depth,
    float $spacing,
    float $effective,
) {
    $heat = steelWall($r, $depth, $spacing);
    expect($heat->method)
        ->toBe('correction-factor')
        ->and($heat->total())
        ->toEqualWithDelta(0.13 + 0.05 + $effective * Conversion::RSI_PER_R + 0.05 + 0.04, 1e-4);
})->with([
    [11, 89, 406, 5.5],
    [13, 89, 406, 6.0],
    [15, 89, 406, 6.4],
    [11, 89, 610, 6.6],
    [13, 89, 610, 7.2],
    [19, 152, 406, 7.1],
    [21, 152, 406, 7.4],
    [21, 152, 610, 9.0],
    [25, 203, 406, 7.8],
]);

it(
    'weights the limits by flange, spacing and depth where the table has no row (arithmetic worked by hand)',
    function () {
        $heat = steelWall(13, 120, 400);
        // p = 0.8 · lower/upper + 0.44 − 0.1 · 41/40 − 0.2 · 600/400 − 0.04 · 1.2
        $p = (0.8 * $heat->lowerLimit) / $heat->upperLimit + 0.44 - 0.1025 - 0.3 - 0.048;
        expect($heat->method)
            ->toBe('weighted-limits')
            ->and($heat->total())
            ->toEqualWithDelta($p * $heat->upperLimit + (1 - $p) * $heat->lowerLimit, 1e-12)
            ->and($heat->total())
            ->toBeGreaterThan($heat->lowerLimit)
            ->toBeLessThan($heat->upperLimit);
    },
);

it('has no R where the steel is outside of every method, and says so', function () {
    $heat = steelWall(13, 120, 400, framing: ['flange_mm' => 80]);
    expect($heat->method)->toBeNull()->and($heat->total())->toBeNull()->and($heat->overallU())->toBeNull();
    $file = wallFile([[0.038, 1, 120, ['framing' => ['material' => 'steel-galvanised', 'fraction' => 0.003]]]]);
    $project = readProject($file);
    expect(
        array_map(
            fn ($f) => $f->code,
            (new AssemblyAssessment($project->brief, $project->assemblies[0]))->findings(),
        ),
    )->toContain('heat.no-method');
});

it('reckons metal through insulation by its own method, at any ratio of the limits, and says so', function () {
    $file = fn (array $chosen) => wallFile([
        [0.25, 10, 12.5],
        [
            0.038,
            1,
            89,
            [
                'framing' => $chosen + [
                    'material' => 'steel-galvanised',
                    'fraction' => 0.003,
                    'spacing_mm' => 406,
                    'flange_mm' => 41,
                ],
            ],
        ],
    ]);
    $codes = function (array $file): array {
        $project = readProject($file);

        return array_map(
            fn ($f) => $f->code,
            (new AssemblyAssessment($project->brief, $project->assemblies[0]))->findings(),
        );
    };
    expect($codes($file([])))
        ->toContain('heat.metal-method')
        ->not->toContain('heat.no-method')
        ->and($codes($file(['method' => 'weighted-limits'])))
        ->toContain('heat.metal-method');
});

it(
    'adds girts by ψ and brackets by χ to the overall U, and leaves R total alone (ISO 14683; arithmetic worked by hand)',
    function () {
        $wool = fn (array $more) => new ThermalResistance(wall([[0.04, 1, 100, $more]]));
        $plain = $wool([]);
        // 0.1 W/(m·K) · 1.5 m/m² + 0.02 W/K · 2 /m² = 0.19
        $bridged = $wool([
            'bridges' => [
                ['name' => 'girt', 'psi_w_mk' => 0.1, 'm_per_m2' => 1.5],
                ['name' => 'bracket', 'chi_w_k' => 0.02, 'per_m2' => 2],
            ],
        ]);
        expect($bridged->bridgesAddU)
            ->toEqualWithDelta(0.19, 1e-12)
            ->and($bridged->total())
            ->toBe($plain->total())
            ->and($bridged->u())
            ->toBe($plain->u())
            ->and($bridged->overallU())
            ->toEqualWithDelta($plain->u() + 0.19, 1e-12)
            ->and(array_column($bridged->costs(), 'add_u_w_m2k', 'name'))
            ->toEqualWithDelta(['girt' => 0.15, 'bracket' => 0.04], 1e-12);
    },
);

it(
    'cools an inverted roof by rain, ΔU = p · f·x · (R₁/R)² (ISO 6946:2017, F.4, from memory; arithmetic worked by hand)',
    function () {
        $file = wallFile([[2.0, 100, 200], [0.034, 150, 136, ['inverted' => ['rain_mm_day' => 3]]]]);
        $file['assemblies'][0]['kind'] = 'roof';
        $heat = new ThermalResistance(readProject($file)->assemblies[0]);
        // R₁ 4.0; R 0.10 + 0.1 + 4.0 + 0.04 = 4.24; 3 · 0.04 · (4 / 4.24)² = 0.106800
        expect($heat->rainAddsU)
            ->toEqualWithDelta(0.1068, 1e-5)
            ->and($heat->u())
            ->toEqualWithDelta(1 / 4.24 + 0.1068, 1e-5);
    },
);

it('says what each bridge costs: U without it is U less its cost', function () {
    $framing = ['framing' => ['material' => 'lumber', 'fraction' => 0.15, 'spacing_mm' => 400]];
    $with = new ThermalResistance(wall([[0.04, 1, 140, $framing]]));
    $without = new ThermalResistance(wall([[0.04, 1, 140]]));
    expect($with->costs())
        ->toHaveCount(1)
        ->and($with->u() - $with->costs()[0]['add_u_w_m2k'])
        ->toEqualWithDelta($without->u(), 1e-12);
});

it(
    'takes the winter films of the other school when the project does (ASHRAE Handbook of Fundamentals, from memory)',
    function () {
        $file = wallFile([[0.04, 1, 100]]);
        $file['project']['schools'] = ['films' => 'north-american'];
        // R 0.68 inside and 0.17 outside: 0.119755 and 0.029939
        expect((new ThermalResistance(readProject($file)->assemblies[0]))->total())
            ->toEqualWithDelta(2.5 + 0.85 * Conversion::RSI_PER_R, 2e-4)
            ->and(SurfaceFilms::Iso->outside())
            ->toBe(0.04)
            ->and(MetalFraming::cases())
            ->toHaveCount(2);
    },
);

it(
    'adds what gaps in insulation cost (ISO 6946:2017, F.2, levels 1 and 2, from memory; arithmetic worked by hand)',
    function (?string $gaps, float $added) {
        $heat = new ThermalResistance(wall([[0.04, 1, 100, $gaps === null ? [] : ['gaps' => $gaps]]]));
        // R 2.5 of 2.67: ΔU″ · (2.5/2.67)².
        expect($heat->u() - 1 / $heat->total())->toEqualWithDelta($added * (2.5 / 2.67) ** 2, 1e-12);
    },
)->with([[null, 0.0], ['bridging', 0.01], ['circulating', 0.04]]);
