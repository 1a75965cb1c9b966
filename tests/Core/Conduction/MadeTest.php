<?php

declare(strict_types=1);

use Apron\Conduction\Block;
use Apron\Conduction\Made\Buck;
use Apron\Conduction\Made\CornerSection;
use Apron\Conduction\Made\Flashing;
use Apron\Conduction\Made\FootSection;
use Apron\Conduction\Made\Joint;
use Apron\Conduction\Made\JointSizes;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\Made\ThroughSection;
use Apron\Conduction\Made\Unit;
use Apron\Conduction\Made\UnitPlace;
use Apron\Conduction\Made\UnitSection;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlaneSection;

require_once __DIR__.'/Support.php';

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

/** A wall of one board, of which nothing says in which plane a building is measured: its outer face is. */
function boardOf(float $thickMm, float $conductivity): Stack
{
    $file = [
        'format' => 'apron-project/1',
        'project' => ['name' => 'B', 'units' => 'si'],
        'materials' => [
            ['id' => 'm', 'name' => 'M', 'family' => 'mineral-wool', 'vapour_resistance_factor' => 1] +
                ['conductivity_w_mk' => $conductivity],
        ],
        'assemblies' => [
            ['id' => 'w', 'name' => 'W', 'kind' => 'wall', 'layers' => [
                ['id' => 'l', 'material' => 'm', 'thickness_mm' => $thickMm],
            ]],
        ],
    ];

    return new Stack(readProject($file)->assemblies[0]);
}

it('has a corner of one board lose what the shape factor of two walls that meet says', function () {
    // Along the edge of two walls 0.54 of their conductivity for each metre beyond their inner faces (F. P. Incropera,
    // Fundamentals of Heat and Mass Transfer, table 4.1, edge of adjoining walls; from memory). Air on the faces of a
    // thick board hardly matters.
    [$thick, $conductivity] = [400.0, 0.04];
    $corner = fn (bool $turnsIn): float => (float) (new PlaneHeat(
        (new CornerSection(boardOf($thick, $conductivity), $turnsIn))->made('s', 's', 20, 0),
    ))->psi();
    expect($corner(false))->toEqualWithDelta((0.54 - 2) * $conductivity, 0.05 * $conductivity)
        ->and($corner(true))->toEqualWithDelta(0.54 * $conductivity, 0.05 * $conductivity);
});

it('measures a corner in the plane of the layer that carries air, as a building is measured', function () {
    // Timber inside of that plane, wool outside: what the outside corner gains of wool it loses of timber.
    $wall = stackOf('w1');
    $heat = new PlaneHeat((new CornerSection($wall))->made('s', 's', 20, 0));
    $outer = (float) $heat->coupling() - 2 * $wall->u() * (1.0 + $wall->thick / 1000);
    expect($wall->airPlane())->toBeGreaterThan(100.0)->toBeLessThan(110.0)
        ->and($heat->psi())
        ->toEqualWithDelta($outer + 2 * $wall->u() * ($wall->thick - $wall->airPlane()) / 1000, 1e-9)
        ->and($heat->psi())->toBeGreaterThan(-0.03)->toBeLessThan(0.03)
        ->and($outer)->toBeGreaterThan(-0.1)->toBeLessThan(-0.03);
});

it('ranks the ways of a parapet, and the foot of a wall with and without insulation below the ground', function () {
    $sizes = new JointSizes(new Unit, Buck::Wood, Flashing::Membrane, 60, 200, 1.5, 40, 600, 600);
    $told = function (string $wall, string $meets, string $way) use ($sizes): PlaneHeat {
        $joint = new Joint(stackOf($wall), $sizes, stackOf($meets));

        return new PlaneHeat($joint->made($way, 's', 20, 0) ?? throw new LogicException("no $way"));
    };
    // What bears is concrete, and then timber.
    [$bare, $wrapped, $on] = array_map(
        fn (string $way): float => (float) $told('b1', 'r1', $way)->psi(),
        ['parapet', 'parapet wrapped', 'parapet on insulation'],
    );
    expect($bare)->toBeGreaterThan(0.5)->toBeLessThan(1.0)
        ->and($wrapped)->toBeLessThan($bare / 2)
        ->and($on)->toBeLessThan(0.05)
        ->and((float) $told('w1', 'r1', 'parapet')->psi())->toBeLessThan(0.15);
    $foot = $told('w1', 'f1', 'foot');
    $deeper = $told('w1', 'f1', 'foot deeper');
    expect((float) $deeper->psi())->toBeLessThan((float) $foot->psi() - 0.1)
        ->and((float) $deeper->factor())->toBeGreaterThan((float) $foot->factor() + 0.05)
        // Guides have 0.0 to 0.75 for feet of walls on ground floors (ISO 14683, from memory).
        ->and((float) $foot->psi())->toBeLessThan(0.75);
});

it('has ground let through what the standard for floors on it says', function () {
    // Half of a floor 8 m wide on ground, beside a wall of 0.3 m that lets nothing through: in two dimensions, and by
    // ISO 13370, whose formula is such a computation's own approximation.
    $ground = 2.0;
    $floor = stackOf('f1');
    $layers = array_map(
        fn (array $layer): Block => block([-4000, -$layer[1], 0, -$layer[0]], $layer[2]),
        $floor->layers,
    );
    $section = new PlaneSection('s', 's', [
        block([-4000, -20000, 20000, 0], $ground),
        ...$layers,
        block([0, -$floor->thick, 300, 1000], 1e-5),
    ], [
        air([-4000, 0, 0, 1000], 20, $floor->assembly->rsi(), true),
        air([300, 0, 20000, 1000], 0, 0.04),
    ]);
    $u = (float) (new PlaneHeat($section))->coupling() / 4.0;
    // The wall is as thick as w1 is, near enough.
    expect((new FootSection(stackOf('w1'), $floor, 0))->onGround(8.0, $ground))->toEqualWithDelta($u, 0.06 * $u);
});

it('has a cellar lose what the standard for floors and walls in the ground says, where nothing goes round its foot', function () {
    // Wall and floor as one board of wool each, its corner closed: nothing but the ground is left between the two
    // ways. The formulas are an approximation, and said to be within some per cent.
    $wall = boardOf(150, 0.04);
    $section = (new FootSection($wall, $wall, 0.0, 2000.0))->made('s', 's', 20, 0);
    $closed = new PlaneSection('s', 's', [
        ...array_filter($section->blocks, fn (Block $block): bool => $block->conductivity !== 2.3),
        block([0, -150, 150, 0], 0.04),
    ], $section->airs, [], $section->flanking);
    $heat = new PlaneHeat($closed);
    expect($heat->psi())->toEqualWithDelta(0.0, 0.04 * $heat->coupling());
    // On a footing of concrete it loses more, and less again where the insulation goes on below the floor.
    [$psi, $deeper] = array_map(fn (float $edge): float => (float) (new PlaneHeat(
        (new FootSection(stackOf('b1'), stackOf('f1'), $edge, 2000.0))->made('s', 's', 20, 0),
    ))->psi(), [0.0, 600.0]);
    expect($psi)->toBeGreaterThan(0.1)->toBeLessThan(0.75)->and($deeper)->toBeLessThan($psi - 0.03);
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
