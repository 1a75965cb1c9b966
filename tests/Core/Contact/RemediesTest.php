<?php

declare(strict_types=1);

use Apron\Contact\Contact;
use Apron\Contact\Contacts;
use Apron\Contact\How;
use Apron\Contact\PieceContacts;
use Apron\Contact\PieceTouch;
use Apron\Contact\Remedied;
use Apron\Contact\Remedies;
use Apron\Contact\Settled;
use Apron\Contact\Touch;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Wall;
use Apron\Project\Assessment;

require_once __DIR__.'/Pairs.php';

it('says what else another material would touch where it goes, and which of that fares worse', function () {
    $materials = new Materials([], new Catalogue);
    $all = new Contacts;
    $touch = fn (string $a, string $b, How $how): Touch => new Touch(
        $materials->find($a) ?? throw new LogicException($a),
        $materials->find($b) ?? throw new LogicException($b),
        $how,
    );
    // Aluminium on copper is eaten; it also meets plywood and zinc in the same wall, and strand board elsewhere.
    $all->add($touch('aluminium', 'copper', How::Touches), 'assemblies/w1/layers/a');
    $all->add($touch('aluminium', 'plywood', How::Touches), 'assemblies/w1/layers/a');
    $all->add($touch('zinc', 'aluminium', How::Touches), 'assemblies/w1/layers/z');
    $all->add($touch('aluminium', 'osb', How::Touches), 'assemblies/w2/layers/a');
    $all->add($touch('lead', 'plywood', How::Touches), 'assemblies/w1/layers/l');
    $byId = array_column(array_map(fn (Contact $c): array => [$c->id, $c], $all->all()), 1, 0);
    $told = (new Remedied(new Settled, $materials, $all->all()))->of($byId['aluminium.touches.copper']);
    $instead = array_column(array_filter($told, fn (array $r): bool => $r['kind'] === 'instead'), null, 'with');
    expect($instead)
        ->not->toBe([])
        // The two others of that wall that it meets; not itself, nor the one elsewhere, nor what it has no part in.
        ->and(array_unique(array_column($told, 'beside')))
        ->toBe([2]);
    // Stainless or copper does for copper, and eats the zinc that lies on it.
    $worse = array_merge(...array_values(array_column($instead, 'worse')));
    expect($worse)->not->toBe([])->each->toContain('Zinc');
    foreach ($told as $remedy) {
        expect($remedy['kind'] === 'instead' || $remedy['worse'] === [])->toBeTrue();
    }
});

it('offers a tape for a tape, and a strip of membrane only where no tape will do', function () {
    $materials = (new Catalogue)->all();
    $kinds = fn (string $a, string $b): array => array_map(
        fn (array $r): string => $r['with']?->isStrip() ? 'tape' : 'membrane',
        array_filter(
            Remedies::of(
                new Touch((new Catalogue)->find($a) ?? throw new LogicException, materialOf($b, 'b'), How::Bonded),
                $materials,
            ),
            fn (array $r): bool => $r['kind'] === 'instead',
        ),
    );
    expect(array_values(array_unique($kinds('seam-tape', 'eps'))))
        ->toBe(['tape'])
        ->and(array_values(array_unique($kinds('seam-tape', 'fluid-bitumen'))))
        ->toBe(['membrane'])
        ->and(array_values(array_unique($kinds('membrane-permeable', 'concrete'))))
        ->each->toBe('membrane');
});

/** @return list<PieceTouch> of a window with a flange in a wall */
function windowTouches(array $layers): array
{
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'assemblies' => [['id' => 'w1', 'name' => 'W', 'kind' => 'wall', 'layers' => $layers]],
        'openings' => [
            [
                'id' => 'o1',
                'title' => 'O',
                'generator' => 'unit-in-its-wall',
                'between' => ['w1'],
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200],
            ],
        ],
    ]);
    $detail = (new Assessment($project))->details[0]->rain->layout->detail;
    $wall = Wall::of($project->assemblies[0]);

    return PieceContacts::touches(
        $detail,
        array_filter(['face' => $wall->substrate, 'sill' => $wall->reveal, 'jamb-left' => $wall->reveal]),
    );
}

it('finds what lies on the framing at the sides of the hole, each where it is and from which step on', function () {
    $studs = ['material' => 'lumber-treated', 'fraction' => 0.15, 'spacing_mm' => 400];
    $touches = windowTouches([
        ['id' => 'g', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
        ['id' => 'c', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140, 'framing' => $studs],
        ['id' => 's', 'material' => 'osb', 'thickness_mm' => 12],
        ['id' => 'm', 'material' => 'membrane-permeable', 'thickness_mm' => 0.6, 'controls' => ['water', 'air']],
    ]);
    $on = fn (string $facet, string $material): array => array_values(
        array_filter(
            $touches,
            fn (PieceTouch $t): bool => $t->facet === $facet && $t->touch->b->id === $material,
        ),
    );
    expect($on('sill', 'lumber-treated'))
        ->not->toBe([])
        ->and($on('face', 'osb'))
        ->not->toBe([])
        ->and($on('face', 'lumber-treated'))
        ->toBe([]);
    // What is covered all over by another of the first laid touches nothing of the wall.
    $pieces = array_map(fn (PieceTouch $t): string => $t->piece->id, $on('sill', 'lumber-treated'));
    expect($pieces)->toBe(array_unique($pieces))->and(count($pieces))->toBeLessThan(4);
    // Two pieces touch when the later of them is laid: flaps held up included.
    foreach ($touches as $touch) {
        expect($touch->step)->toBeGreaterThanOrEqual($touch->facet === null ? 1 : $touch->piece->step);
    }
});

it('takes a solid wall for the sides of its hole, and tells metal against wood that eats it', function () {
    $masonry = [
        ['id' => 'p', 'material' => 'gypsum-plaster', 'thickness_mm' => 15],
        ['id' => 'c', 'material' => 'concrete', 'thickness_mm' => 200],
        ['id' => 'm', 'material' => 'fluid-permeable', 'thickness_mm' => 0.6, 'controls' => ['water', 'air']],
    ];
    $under = fn (PieceTouch $t): string => "$t->facet {$t->touch->b->id}";
    $materials = array_unique(array_map($under, windowTouches($masonry)));
    expect($materials)->toContain('sill concrete');
    $project = readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'materials' => [
            [
                'id' => 'frt',
                'name' => 'Fire-retardant stud',
                'family' => 'frt-lumber',
                'conductivity_w_mk' => 0.12,
                'vapour_resistance_factor' => 50,
            ],
        ],
        'assemblies' => [
            [
                'id' => 'w1',
                'name' => 'W',
                'kind' => 'wall',
                'layers' => [
                    [
                        'id' => 'c',
                        'material' => 'mineral-wool-batt',
                        'thickness_mm' => 140,
                        'framing' => ['material' => 'frt', 'fraction' => 0.15, 'spacing_mm' => 400],
                    ],
                    ['id' => 'z', 'material' => 'aluminium', 'thickness_mm' => 1],
                ],
            ],
        ],
    ]);
    $ids = array_map(fn (Contact $c): string => $c->id, (new Assessment($project))->contacts->all());
    expect($ids)->toContain('frt.touches.aluminium');
});
