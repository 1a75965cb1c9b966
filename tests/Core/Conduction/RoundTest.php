<?php

declare(strict_types=1);

use Apron\Conduction\Made\Point;
use Apron\Conduction\Made\PointSection;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlaneSection;

require_once __DIR__.'/Support.php';

it('lets through a pipe what the cylinder says', function (float $inner, float $outer, float $h) {
    // Q = ΔT / (1/(2πr₁Lh) + ln(r₂/r₁)/(2πλL)): any textbook.
    [$long, $conductivity] = [500.0, 0.2];
    $section = new PlaneSection('s', 's', [block([$inner, 0, $outer, $long], $conductivity)], [
        air([0, 0, $inner, $long], 60, 1 / $h, true),
        air([$outer, 0, $outer + 50, $long], 10, 0.0),
    ], isRound: true);
    $resistance = 1 / (2 * M_PI * ($inner / 1000) * ($long / 1000) * $h)
        + log($outer / $inner) / (2 * M_PI * $conductivity * ($long / 1000));
    $heat = new PlaneHeat($section);
    expect($heat->flow)->toEqualWithDelta(50 / $resistance, (0.002 * 50) / $resistance);
})->with([[20.0, 30.0, 10.0], [5.0, 60.0, 100.0], [50.0, 55.0, 5.0]]);

it('adds nothing where what goes through is as the rest', function () {
    $wall = stackOf('w1');
    $point = new PointSection($wall, new Point(8.0, $wall->insulation()[2], 0.0));
    $heat = new PlaneHeat($point->made('s', 's', 20, 0));
    expect($heat->coupling())->toBeGreaterThan(0.1)->and($heat->psi())->toEqualWithDelta(0.0, 1e-6);
});

it('has of a steel screw into concrete what the rule for fasteners gives, and of one into timber less', function () {
    // ISO 6946:2017, F.3: α·λ·A/d·(R₁/R)² with α 0.8, meant for screws that find all the heat they can carry.
    $both = function (string $wall, float $diameter): array {
        $stack = stackOf($wall);
        [$from, $to, $conductivity] = $stack->insulation();
        $metres = ($to - $from) / 1000;
        $point = (new PointSection($stack, new Point($diameter, 50.0, 40.0)))->made('s', 's', 20, 0);

        return [
            (float) (new PlaneHeat($point))->psi(),
            (0.8 * 50 * M_PI * ($diameter / 2000) ** 2 / $metres) * ($metres / $conductivity * $stack->u()) ** 2,
        ];
    };
    foreach ([6.0, 10.0] as $diameter) {
        [$chi, $rule] = $both('b1', $diameter);
        expect($chi)->toEqualWithDelta($rule, 0.15 * $rule);
        [$chi, $rule] = $both('w1', $diameter);
        expect($chi)->toBeGreaterThan(0.2 * $rule)->toBeLessThan($rule);
    }
});
