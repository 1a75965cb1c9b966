<?php

declare(strict_types=1);

use Apron\Conduction\Made\Buck;
use Apron\Conduction\Made\CornerSection;
use Apron\Conduction\Made\Flashing;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\Made\ThroughSection;
use Apron\Conduction\Made\Unit;
use Apron\Conduction\Made\UnitPlace;
use Apron\Conduction\Made\UnitSection;
use Apron\Conduction\PlaneHeat;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;

/** A wall of the demo: w1 of timber, w2 on steel studs, both with their insulation outside. */
function stackOf(string $id): Stack
{
    $demo = (string) file_get_contents(dirname(__DIR__, 3).'/database/demo/project.json');
    foreach (ProjectFormat::parse($demo, new Catalogue)->assemblies as $assembly) {
        if ($assembly->id === $id) {
            return new Stack($assembly);
        }
    }
    throw new LogicException("no $id");
}

/** ψ of a unit there, W/(m·K) */
function installed(
    Stack $wall,
    UnitPlace $place,
    float $cover = 0.0,
    Buck $buck = Buck::Wood,
    Flashing $flashing = Flashing::Membrane,
): float {
    $section = (new UnitSection($wall, new Unit, $place, $buck, $cover, $flashing))->made('s', 's', 20, 0);

    return (float) (new PlaneHeat($section ?? throw new LogicException('no such place')))->psi();
}

it('ranks the places of a unit as a careful eye does: further into the insulation, covered, without metal', function () {
    $wall = stackOf('w1');
    $sheathing = installed($wall, UnitPlace::Sheathing);
    $insulation = installed($wall, UnitPlace::Insulation);
    expect($insulation)->toBeLessThan($sheathing)
        ->and(installed($wall, UnitPlace::Sheathing, 50.0))->toBeLessThan($sheathing - 0.03)
        ->and(installed($wall, UnitPlace::Sheathing, 0.0, Buck::Insulating))->toBeLessThan($sheathing)
        ->and(installed($wall, UnitPlace::Sheathing, 0.0, Buck::Wood, Flashing::Metal))
        ->toBeGreaterThan($sheathing + 0.05)
        // Units in outer insulation lose 0.01 to 0.06 W/(m·K) along their edge: common practice.
        ->and($sheathing)->toBeGreaterThan(0.02)->toBeLessThan(0.08)
        ->and(installed($wall, UnitPlace::Insulation, 50.0))->toBeGreaterThan(-0.03)->toBeLessThan(0.01);
});

it('knows no place that a wall does not have', function () {
    $wall = stackOf('w1');
    $deep = fn (UnitPlace $place): mixed => (new UnitSection($wall, new Unit(frameDeepMm: 150), $place))
        ->made('s', 's', 20, 0);
    expect($deep(UnitPlace::Sheathing))->toBeNull()->and($deep(UnitPlace::OuterFace))->not->toBeNull();
});

it('has a corner lose less than its outer faces would, whatever is behind it', function () {
    foreach ([null, 0.13] as $backing) {
        $heat = new PlaneHeat((new CornerSection(stackOf('w1'), $backing))->made('s', 's', 20, 0));
        expect($heat->psi())->toBeGreaterThan(-0.1)->toBeLessThan(-0.03)->and($heat->factor())->toBeGreaterThan(0.85);
    }
});

it('tells a slab that stops behind the insulation from one that goes through it', function () {
    $wall = stackOf('w1');
    $psi = fn (bool $through): float => (float) (new PlaneHeat(
        ThroughSection::slab($wall, 200, $through)->made('s', 's', 20, 0),
    ))->psi();
    expect($psi(false))->toBeGreaterThan(0.0)->toBeLessThan(0.03)
        ->and($psi(true))->toBeGreaterThan(0.5)->toBeLessThan(0.8);
});

it('has a girt lose what its wall lets it gather', function () {
    // 1.5 mm of steel through 100 mm of wool: on timber it finds its heat, on a thin sheathing before a filled cavity,
    // between two studs, it finds little.
    $psi = function (string $wall): float {
        $girt = ThroughSection::girt(stackOf($wall), 1.5, 40) ?? throw new LogicException('no insulation');

        return (float) (new PlaneHeat($girt->made('s', 's', 20, 0)))->psi();
    };
    expect($psi('w1'))->toBeGreaterThan(0.05)->toBeLessThan(0.1)
        ->and($psi('w2'))->toBeGreaterThan(0.005)->toBeLessThan(0.03);
});
