<?php

declare(strict_types=1);

use Apron\Contact\Contact;
use Apron\Contact\ContactRules;
use Apron\Contact\ContactVerdict;
use Apron\Contact\How;
use Apron\Contact\Remedies;
use Apron\Contact\Resolver;
use Apron\Contact\Touch;
use Apron\Json\CoreData;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Families;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Material\Sticks;
use Apron\Project\Assessment;
use Apron\Project\ContactSheet;

require_once __DIR__.'/../Judgement/Verdicts.php';

/** A project with a wall, materials of its own and pairs that are asked about. */
function touchingProject(array $more = [], array $layers = []): Assessment
{
    return new Assessment(
        readProject($more + [
            'format' => 'apron-project/1',
            'project' => ['name' => 'P', 'units' => 'si'],
            'assemblies' => [
                [
                    'id' => 'w1',
                    'name' => 'North wall',
                    'kind' => 'wall',
                    'layers' => $layers ?: [
                        ['id' => 'g', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
                        ['id' => 'c', 'material' => 'mineral-wool-batt', 'thickness_mm' => 140],
                        ['id' => 's', 'material' => 'glass-mat-gypsum', 'thickness_mm' => 12.7],
                        ['id' => 'm', 'material' => 'membrane-sbs', 'thickness_mm' => 1, 'controls' => ['water']],
                        ['id' => 'b', 'material' => 'mineral-wool-board', 'thickness_mm' => 75],
                    ],
                ],
            ],
        ]),
    );
}

function ownMaterial(array $said): Material
{
    return MaterialFormat::read(
        Node::of($said + ['id' => 'x', 'name' => 'X', 'conductivity_w_mk' => 0.2, 'sd_m' => 1]),
    );
}

/** @return array<string, Contact> by id */
function contactsOf(Assessment $assessment): array
{
    return array_column(array_map(fn (Contact $c): array => [$c->id, $c], $assessment->contacts->all()), 1, 0);
}

it('has a rule for every sticker on every family, none twice, and says how many are to be tested first', function () {
    $ids = array_column(
        array_map(
            fn (Node $row): array => [$row->get('id')->id()],
            CoreData::read('contacts')->get('bonding')->items(1),
        ),
        0,
    );
    $missing = [];
    $tested = 0;
    foreach (Sticks::cases() as $sticks) {
        foreach (Families::all() as $family) {
            $rule = $family->id === 'air' ? null : ContactRules::standing()->bonding($sticks, $family);
            if ($rule === null && $family->id !== 'air') {
                $missing[] = "$sticks->value on $family->id";
            }
            $tested += $rule?->verdict === ContactVerdict::TestFirst ? 1 : 0;
        }
    }
    expect($missing)
        ->toBe([])
        ->and(count($ids))
        ->toBe(count(array_unique($ids)))
        ->toBeGreaterThan(300)
        ->and($tested / count($ids))
        ->toBeLessThan(0.4);
});

it('has no two rows for one touch that say otherwise', function () {
    $said = [];
    foreach (CoreData::read('contacts')->get('touching')->items(1) as $row) {
        foreach ($row->get('how')->items(1) as $how) {
            $pair = [$row->get('a')->id(), $row->get('b')->id()];
            if ($how->id() !== 'drains-onto') {
                sort($pair);
            }
            $when = json_encode($row->optional('when')?->raw());
            $key = implode('|', [...$pair, $how->id(), $when]);
            expect($said[$key] ?? $row->get('verdict')->text())->toBe($row->get('verdict')->text(), $key);
            $said[$key] = $row->get('verdict')->text();
        }
    }
});

it('derives the neighbours of an assembly by their faces, and what members and fasteners meet', function () {
    $contacts = contactsOf(
        touchingProject([], [
            ['id' => 'g', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
            [
                'id' => 'c',
                'material' => 'mineral-wool-batt',
                'thickness_mm' => 90,
                'framing' => ['material' => 'steel-galvanised', 'fraction' => 0.01, 'spacing_mm' => 400],
            ],
            ['id' => 's', 'material' => 'glass-mat-gypsum', 'thickness_mm' => 12.7],
            ['id' => 'm', 'material' => 'membrane-sbs', 'thickness_mm' => 1, 'controls' => ['water']],
            [
                'id' => 'b',
                'material' => 'xps',
                'thickness_mm' => 75,
                'fasteners' => [
                    'per_m2' => 6,
                    'diameter_mm' => 6,
                    'conductivity_w_mk' => 17,
                    'material' => 'stainless-steel',
                ],
            ],
        ]),
    );
    expect($contacts['membrane-sbs.bonded.glass-mat-gypsum.dry']->judged->verdict)
        ->toBe(ContactVerdict::PrimeFirst)
        ->and($contacts['membrane-sbs.bonded.glass-mat-gypsum.dry']->places)
        ->toBe(['assemblies/w1/layers/m'])
        // A board is fastened over a membrane, whose adhesive is on its other side.
        ->and($contacts['xps.touches.membrane-sbs']->judged->verdict)
        ->toBe(ContactVerdict::NotNeeded)
        ->and($contacts)
        ->toHaveKeys(['stainless-steel.fastened.xps', 'stainless-steel.fastened.steel-galvanised'])
        ->toHaveKey('steel-galvanised.touches.glass-mat-gypsum.dry');
});

it('derives what lies on what in an opening, and on the wall behind it', function () {
    $contacts = contactsOf(
        touchingProject([
            'openings' => [
                [
                    'id' => 'o1',
                    'title' => 'O',
                    'generator' => 'unit-in-its-wall',
                    'between' => ['w1'],
                    'parameters' => ['width_mm' => 900, 'height_mm' => 1200],
                ],
            ],
        ]),
    );
    $places = array_merge(...array_map(fn (Contact $c): array => $c->places, array_values($contacts)));
    expect($places)
        ->toContain('details/o1/pieces/pan')
        // The same pair in the wall and round the opening is told once, with both places.
        ->and($contacts['membrane-sbs.bonded.glass-mat-gypsum.dry']->places)
        ->toContain('assemblies/w1/layers/m', 'details/o1/pieces/field');
});

it('tells a pair that is asked about, with its place, and makes no finding of a question', function () {
    $asked = touchingProject([
        'asked' => [['id' => 'q1', 'a' => 'copper', 'b' => 'aluminium', 'how' => 'drains-onto', 'wet_place' => true]],
    ]);
    $contact = contactsOf($asked)['asked.q1'];
    expect($contact->toArray())
        ->toMatchArray([
            'verdict' => 'corrodes',
            'severity' => 'fail',
            'places' => ['asked/q1'],
            'how' => 'drains-onto',
        ])
        ->and(array_filter($asked->findings, fn ($f): bool => str_starts_with($f->code, 'contact.')))
        ->toBe([]);
});

it('takes foam for stuck to what it was sprayed on, and not to the batt that came after', function () {
    $contacts = contactsOf(
        touchingProject([], [
            ['id' => 'b', 'material' => 'glass-wool-batt', 'thickness_mm' => 90],
            ['id' => 'f', 'material' => 'spray-foam-closed', 'thickness_mm' => 50],
            ['id' => 's', 'material' => 'plywood', 'thickness_mm' => 12],
        ]),
    );
    expect($contacts)
        ->toHaveKeys(['spray-foam-closed.touches.glass-wool-batt', 'plywood.bonded.spray-foam-closed'])
        ->and($contacts['plywood.bonded.spray-foam-closed']->judged->verdict)
        ->toBe(ContactVerdict::Bonds);
});

it('flags no contact of the walls of the table of verdicts', function () {
    $fails = [];
    foreach (Verdicts::cases() as $name => $case) {
        foreach ((new Assessment(Verdicts::project($case)))->contacts->all() as $contact) {
            if ($contact->severity()->value === 'fail') {
                $fails[] = "$name: $contact->id";
            }
        }
    }
    expect($fails)->toBe([]);
});

it('makes a finding of what fails in a wall', function () {
    $wall = touchingProject([], [
        ['id' => 'x', 'material' => 'xps', 'thickness_mm' => 50],
        ['id' => 'p', 'material' => 'membrane-pvc', 'thickness_mm' => 1.5],
    ]);
    $found = array_values(array_filter($wall->findings, fn ($f): bool => $f->code === 'contact.attacks'));
    expect($found)->toHaveCount(1)->and($found[0]->subject)->toBe('assemblies/w1/layers/p');
});

it('lets a data sheet win: tested with, primer, damp and temperature', function () {
    $touch = fn (array $product, string $on = 'concrete', ...$conditions): string => Resolver::judge(
        new Touch(
            ownMaterial(['family' => 'acrylic', 'sticks' => 'acrylic', 'product' => (object) $product]),
            (new Catalogue)->find($on) ?? ownMaterial(['id' => 'f', 'family' => $on]),
            How::Bonded,
            new Apron\Contact\Conditions(...$conditions),
        ),
    )->verdict->value;
    expect($touch([]))
        ->toBe('prime first')
        ->and($touch(['primer_on' => []]))
        ->toBe('bonds')
        ->and($touch(['primer_on' => ['plywood']], 'plywood'))
        ->toBe('prime first')
        ->and($touch(['tested_with' => ['sbs']], 'sbs'))
        ->toBe('bonds')
        // What was tested together is still not laid in the wet.
        ->and($touch(['tested_with' => ['sbs']], 'sbs', damp: true))
        ->toBe('no bond')
        ->and($touch(['damp_face' => true], 'plywood', damp: true))
        ->toBe('bonds')
        ->and($touch(['application_c' => [-25, 50]], 'plywood', surfaceC: -20.0))
        ->toBe('bonds')
        ->and($touch([], 'plywood', surfaceC: -20.0))
        ->toBe('no bond');
});

it('judges faces and not cores, and the other way round where the first lies below', function () {
    $faced = ownMaterial(['id' => 'f', 'family' => 'eps', 'faces' => ['outer' => 'foil', 'inner' => 'eps']]);
    $tape = (new Catalogue)->find('seam-tape');
    $judge = fn (bool $over): string => Resolver::judge(
        new Touch($tape, $faced, How::Bonded, new Apron\Contact\Conditions, $over),
    )->rule;
    expect($judge(true))
        ->toBe('acrylic.on.foil')
        // Below the board the tape sticks to its inner face.
        ->and($judge(false))
        ->toBe('acrylic.on.eps');
});

it('clears a bad pair by changes that it has tried', function () {
    $catalogue = new Catalogue;
    $touch = new Touch($catalogue->find('seam-tape'), $catalogue->find('concrete'), How::Bonded);
    $remedies = Remedies::of($touch, $catalogue->all());
    expect(array_column($remedies, 'kind'))->toContain('primer');
    $pvc = new Touch($catalogue->find('membrane-pvc'), $catalogue->find('xps'), How::Touches);
    foreach (Remedies::of($pvc, $catalogue->all()) as $remedy) {
        expect($remedy['kind'])->toBe('between');
        foreach ([$pvc->a, $pvc->b] as $one) {
            $beside = new Touch($one, $remedy['with'], How::Touches);
            expect(Resolver::judge($beside)->verdict)->toBe(ContactVerdict::NotNeeded);
        }
    }
    expect(Remedies::of($pvc, $catalogue->all()))->not->toBe([]);
});

it('says what cannot be laid in a month of the climate', function () {
    $cold = touchingProject(['climate' => [
        'name' => 'cold',
        'months' => array_map(fn (int $m): array => ['mean_c' => $m === 1 ? -12 : 15, 'rh_pct' => 70], range(1, 12)),
    ]])->project;
    $verdict = fn (?int $month): string => array_column(ContactSheet::of($cold, $month)['contacts'], 'verdict', 'id')[
        'membrane-sbs.bonded.glass-mat-gypsum.dry'
    ];
    expect(array_map($verdict, [null, 1, 6]))->toBe(['prime first', 'no bond', 'prime first']);
});

it('writes its schedule as CSV that no spreadsheet reckons', function () {
    $csv = ContactSheet::csv(
        touchingProject(['materials' => [
            ['id' => 'x', 'name' => '=1+1', 'family' => 'xps', 'conductivity_w_mk' => 0.03, 'sd_m' => 1],
        ]], [
            ['id' => 'l1', 'material' => 'x', 'thickness_mm' => 50],
            ['id' => 'l2', 'material' => 'membrane-pvc', 'thickness_mm' => 2],
        ])->project,
    );
    expect($csv)->toContain('"fail","attacks"', '"\'=1+1"')->and(substr_count($csv, "\r\n"))->toBe(2);
});

it('refuses data that contradict each other, with their place', function (array $said, string $at) {
    expect(fn () => ownMaterial($said))->toThrow(FileRefused::class, $at);
})->with([
    'a family that is none' => [['faces' => ['outer' => 'butter']], '/faces/outer'],
    'two adhesives' => [['sticks' => 'butyl', 'adhesive' => 'acrylic'], '/sticks'],
    'two inner faces' => [['faces' => ['inner' => 'foil'], 'back_family' => 'kraft'], '/faces/inner'],
    'a least above the most' => [['product' => ['application_c' => [30, 5]]], '/product/application_c/1'],
    'a key that is none' => [['product' => ['stickiness' => 3]], '/product/stickiness'],
    'an adhesive that is none' => [['sticks' => 'honey'], '/sticks'],
]);

it('refuses a pair with a material, or in a way, that is none', function (array $asked, string $at) {
    expect(fn () => touchingProject(['asked' => [$asked]]))->toThrow(FileRefused::class, $at);
})->with([
    [['id' => 'q', 'a' => 'nothing', 'b' => 'xps', 'how' => 'bonded'], '/asked/0/a'],
    [['id' => 'q', 'a' => 'xps', 'b' => 'xps', 'how' => 'glued'], '/asked/0/how'],
    [['id' => 'q', 'a' => 'xps', 'b' => 'xps', 'how' => 'bonded', 'surface_c' => 900], '/asked/0/surface_c'],
]);

it('keeps what is said of a product, and what is asked, out and in again', function () {
    $file = touchingProject([
        'materials' => [
            [
                'id' => 'x',
                'name' => 'X',
                'family' => 'acrylic',
                'conductivity_w_mk' => 0.2,
                'sd_m' => 1,
                'sticks' => 'acrylic',
                'faces' => ['outer' => 'foil'],
                'product' => [
                    'application_c' => [-18, 50],
                    'primer_on' => [],
                    'roll_m' => [0.1, 25],
                    'cure' => 'neutral',
                ],
            ],
        ],
        'asked' => [
            [
                'id' => 'q1',
                'a' => 'x',
                'b' => 'xps',
                'how' => 'lapped',
                'wet_place' => false,
                'a_over_b' => false,
            ],
        ],
    ])->project;
    $once = Apron\Project\ProjectFormat::write($file);
    $again = Apron\Project\ProjectFormat::parse($once, new Catalogue);
    expect(Apron\Project\ProjectFormat::write($again))
        ->toBe($once)
        ->and(json_decode($once, true)['asked'][0])
        ->toMatchArray(['wet_place' => false, 'a_over_b' => false])
        ->and(json_decode($once, true)['materials'][0]['product']['primer_on'])
        ->toBe([]);
});

it('judges metals by place and area, and by the kin of a family that has no row', function () {
    $verdict = fn (string $a, string $b, How $how, ...$c): string => Resolver::judge(
        new Touch(
            ownMaterial(['id' => 'a', 'family' => $a]),
            ownMaterial(['id' => 'b', 'family' => $b]),
            $how,
            new Apron\Contact\Conditions(...$c),
        ),
    )->verdict->value;
    // Aluminium bears galvanised steel but where water lies; copper it bears nowhere outdoors.
    expect($verdict('aluminium', 'galvanised', How::Touches))
        ->toBe('not needed')
        ->and($verdict('aluminium', 'galvanised', How::Touches, wetPlace: true))
        ->toBe('separate')
        ->and($verdict('copper', 'aluminium', How::Touches))
        ->toBe('corrodes')
        ->and($verdict('copper', 'steel', How::Touches))
        ->toBe('corrodes')
        ->and($verdict('lead', 'aluminium', How::Touches))
        ->toBe('not needed')
        ->and($verdict('lead', 'aluminium', How::Touches, marine: true))
        ->toBe('separate')
        ->and($verdict('stainless', 'aluminium', How::Fastened, marine: true))
        ->toBe('separate')
        ->and($verdict('stainless', 'aluminium', How::Touches, areaRatio: 20.0))
        ->toBe('corrodes')
        ->and($verdict('stainless', 'aluminium', How::Touches, areaRatio: 0.05))
        ->toBe('not needed')
        // Painted aluminium has no row with phenolic foam: metal has.
        ->and($verdict('aluminium-painted', 'phenolic', How::Fastened))
        ->toBe('corrodes')
        ->and($verdict('stainless', 'phenolic', How::Fastened))
        ->toBe('not needed');
});

it('wants no bond to what is there to break it', function () {
    $catalogue = new Catalogue;
    $touch = new Touch($catalogue->find('sealant-silicone'), $catalogue->find('backer-rod'), How::Bonded);
    expect(Resolver::judge($touch)->verdict)->toBe(ContactVerdict::NotNeeded);
});

it('takes what somebody tested over a rule, and the adhesive over the family', function () {
    $tested = ownMaterial(['id' => 'e', 'family' => 'epdm', 'product' => (object) ['tested_with' => ['sbs']]]);
    $sbs = ownMaterial(['id' => 's', 'family' => 'sbs']);
    expect(Resolver::judge(new Touch($tested, $sbs, How::Touches))->verdict)->toBe(ContactVerdict::NotNeeded);
    $tape = ownMaterial(['id' => 't', 'family' => 'butyl', 'sticks' => 'acrylic']);
    $foil = ownMaterial(['id' => 'f', 'family' => 'foil']);
    expect(Resolver::judge(new Touch($tape, $foil, How::Bonded))->rule)->toBe('acrylic.on.foil');
    $hot = new Touch($tape, $foil, How::Bonded, new Apron\Contact\Conditions(surfaceC: 70.0));
    expect(Resolver::judge($hot)->rule)
        ->toBe('condition.hot')
        ->and(ContactVerdict::NoBond->severity(How::Near)->value)
        ->toBe('note')
        ->and(ContactVerdict::NoBond->severity(How::Lapped)->value)
        ->toBe('fail');
});

it('lets nothing touch that something lies between, and beds metal in a bead by pressing it', function () {
    $piece = fn (string $id, string $material, string $kind, int $step): array => [
        'id' => $id,
        'material' => $material,
        'kind' => $kind,
        'step' => $step,
        'patches' => [['id' => "$id.p", 'facet' => 'face', 'rect' => [0, 0, 500, 500]]],
    ];
    $contacts = contactsOf(
        touchingProject([
            'details' => [
                [
                    'id' => 'd1',
                    'title' => 'D',
                    'facets' => ['face' => ['u' => [0, 500], 'v' => [0, 500]]],
                    'release' => 'face',
                    'pieces' => [
                        $piece('sheet', 'polyolefin-wrap', 'sheet', 1),
                        $piece('bead', 'sealant-silyl', 'sealant', 2),
                        $piece('edge', 'aluminium', 'metal', 3),
                    ],
                ],
            ],
        ]),
    );
    expect($contacts)
        ->toHaveKeys(['sealant-silyl.bonded.polyolefin-wrap', 'aluminium.pressed.sealant-silyl'])
        ->and(array_filter(array_keys($contacts), fn ($id): bool => str_contains($id, 'aluminium.touches')))
        ->toBe([]);
});

it('settles what a system has in it, and tells what a stranger there voids', function () {
    $project = fn (array $products): Assessment => touchingProject([
        'systems' => [
            ['id' => 's1', 'name' => 'One wall', 'by' => 'its maker', 'plane' => 'water', 'products' => $products],
        ],
        'openings' => [
            [
                'id' => 'o1',
                'title' => 'O',
                'generator' => 'flanged-unit-in-self-adhered',
                'between' => ['w1'],
                'parameters' => ['width_mm' => 900, 'height_mm' => 1200],
            ],
        ],
    ]);
    // A strip of acrylic over a membrane of bitumen is to be tested, but where somebody warrants the two together.
    $with = $project(['membrane-sbs', 'flashing-strip', 'flashing-formable']);
    $pair = contactsOf($with)['membrane-sbs.bonded.flashing-strip'];
    expect([$pair->judged->verdict, $pair->judged->rule])
        ->toBe([ContactVerdict::Bonds, 'system.s1'])
        ->and(array_filter($with->findings, fn ($f): bool => $f->code === 'contact.stranger'))
        ->toBe([]);
    $without = $project(['membrane-sbs']);
    $strange = array_values(array_filter($without->findings, fn ($f): bool => $f->code === 'contact.stranger'));
    expect(array_unique(array_map(fn ($f): string => $f->figures['stranger'], $strange)))
        ->toContain('Self-adhered flashing strip, acrylic')
        // Sheathing is what a system is laid on.
        ->not->toContain('Glass-mat gypsum sheathing')
        ->and(contactsOf($without)['membrane-sbs.bonded.flashing-strip']->toArray()['stranger_to'])
        ->toBe('s1');
    expect(fn () => $project(['no-such-thing']))->toThrow(FileRefused::class, '/systems/0/products/0');
});
