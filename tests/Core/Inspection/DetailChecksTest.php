<?php

declare(strict_types=1);

use Apron\Inspection\Check;
use Apron\Inspection\DetailChecks;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Opening\Presets;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

/** @return list<Check> of a method at its usual figures */
function checksOf(string $method, array $said = []): array
{
    $usual = ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0, 'length_mm' => 1500.0];
    $sizes = [];
    foreach (Methods::named($method)->parameters() as $p) {
        if ($p['kind'] === 'size') {
            $sizes[$p['name']] = min($p['most'], max($p['least'], $usual[$p['name']] ?? 100.0));
        }
    }

    return DetailChecks::of(
        Methods::named($method)->make('d', 'D', $sizes + $said, new Materials([], new Catalogue)),
    );
}

it('checks every detail that can be made, each check once, in words, and drawn as it is asked', function (
    string $method,
) {
    $checks = checksOf($method);
    $words = new Words(UnitSystem::US);
    expect($checks)->not->toBe([])->and(array_unique(array_column($checks, 'id')))->toHaveCount(count($checks));
    foreach ($checks as $check) {
        expect($words->text("check.$check->what", 'title', $check->figures))->not->toContain('{');
        if ($check->drawn !== null && $check->bounds !== null) {
            expect($check->drawn)->toBeGreaterThanOrEqual($check->bounds->least - 1e-6, "$method: $check->id");
        }
    }
})->with(fn (): array => array_keys(Methods::all()));

it('reads an opening in fluid by film gauge and arris, and not by the upturn of a pan', function () {
    $what = array_column(checksOf('flanged-unit-in-fluid'), 'what');
    expect($what)
        ->toContain('film', 'coat-whole')
        ->not->toContain('pan-upturn', 'pan-corner')
        ->and(array_column(checksOf('flanged-unit-in-fastened-sheet'), 'what'))
        ->toContain('pan-upturn', 'pan-corner')
        ->not->toContain('film');
    $film = array_values(array_filter(checksOf('flanged-unit-in-fluid'), fn (Check $c): bool => $c->what === 'film'));
    // 35 mil wet for each of the three coats: in the opening, on the field, over the flange.
    expect(array_map(fn (Check $c): array => [$c->bounds?->least, $c->film], $film))->toBe(
        array_fill(0, 3, [0.9, true]),
    );
});

it('measures the laps of a junction, where they are drawn', function () {
    $laps = array_filter(checksOf('wall-to-roof'), fn (Check $c): bool => $c->what === 'lap');
    expect($laps)->not->toBe([]);
    foreach ($laps as $lap) {
        $m = $lap->measured;
        // As long as it is drawn to be measured.
        expect($m)
            ->not->toBeNull()
            ->and(hypot($m->u1 - $m->u0, $m->v1 - $m->v0))
            ->toEqualWithDelta($lap->drawn, 0.1);
    }
});

it('has a gauge reading for each coat of every preset of a coat', function () {
    foreach (array_keys(Presets::all()) as $name) {
        if (str_contains($name, 'fluid')) {
            expect(array_count_values(array_column(checksOf($name), 'what'))['film'])->toBeGreaterThan(1);
        }
    }
});

it('looks at a mesh as a mesh: open and whole, whether it lies at a foot or at a head', function () {
    foreach ([['unit-in-two-planes', ['screens' => 'head-and-sill']], ['overhanging-foot', []]] as [$method, $said]) {
        $checks = array_values(
            array_filter(checksOf($method, $said), fn (Check $c): bool => str_contains($c->place, 'screen')),
        );
        expect(array_column($checks, 'what'))->toBe(['mesh-open']);
    }
});
