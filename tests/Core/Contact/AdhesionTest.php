<?php

declare(strict_types=1);

use Apron\Contact\AdhesionMode;
use Apron\Contact\AdhesionTest;
use Apron\Contact\Conditions;
use Apron\Contact\How;
use Apron\Contact\Pull;
use Apron\Contact\Resolver;
use Apron\Contact\Settled;
use Apron\Contact\Touch;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Rules\Severity;

require_once __DIR__.'/Pairs.php';

it('holds a pair to what was pulled off the real face', function (array $case) {
    $pulls = array_map(
        fn (array $p): Pull => new Pull(
            $p['at'],
            $p['by'],
            AdhesionMode::from($p['mode']),
            isset($p['cured_days']) ? (float) $p['cured_days'] : null,
        ),
        $case['tests'],
    );
    $said = $case['conditions'] ?? [];
    $touch = new Touch(
        materialOf($case['a'], 'a'),
        materialOf($case['b'], 'b'),
        How::from($case['how']),
        new Conditions(
            surfaceC: isset($said['surface_c']) ? (float) $said['surface_c'] : null,
            frost: $said['frost'] ?? false,
            wetPlace: $said['wet_place'] ?? null,
        ),
    );
    $settled = new Settled(tests: [new AdhesionTest('t1', 'a', 'b', $pulls)]);
    $judged = Resolver::judge($touch, $settled);
    expect($judged->verdict->value)->toBe($case['verdict'], "{$case['why']}; it said: $judged->rule, $judged->why");
    // The other one on top was not tried.
    $turned = new Touch($touch->a, $touch->b, $touch->how, $touch->conditions, false);
    expect(Resolver::judge($turned, $settled)->rule)->toBe(Resolver::judge($turned)->rule);
})->with(fn () => array_map(
    fn (array $case): array => [$case],
    json_decode((string) file_get_contents(__DIR__.'/tests.json'), true, 16, JSON_THROW_ON_ERROR)['cases'],
));

/** @return array<string, mixed> a membrane on strand board, which wants a primer, with what was pulled of it */
function pulledProject(array $pulls, string $product = 'membrane-sbs'): array
{
    return [
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'adhesion' => [['id' => 't1', 'product' => $product, 'on' => 'osb', 'pulls' => $pulls]],
        'assemblies' => [
            [
                'id' => 'w1',
                'name' => 'W',
                'kind' => 'wall',
                'layers' => [
                    ['id' => 's', 'material' => 'osb', 'thickness_mm' => 12],
                    ['id' => 'm', 'material' => 'membrane-sbs', 'thickness_mm' => 1, 'controls' => ['water']],
                ],
            ],
        ],
    ];
}

it('settles every place of a project that has the pair, and comes back as it was written', function () {
    $pull = ['at' => '2026-05-01', 'by' => 'A. Inspector', 'mode' => 'cohesive', 'cured_days' => 3, 'newtons' => 42];
    $verdict = function (array $pulls, string $product = 'membrane-sbs'): array {
        $all = (new Assessment(readProject(pulledProject($pulls, $product))))->contacts->all();
        $contact = array_column($all, null, 'id')['membrane-sbs.bonded.osb.dry'];

        return [$contact->judged->verdict->value, $contact->judged->rule, $contact->severity()];
    };
    expect($verdict([['mode' => 'adhesive'] + $pull]))
        ->toBe(['no bond', 'adhesion.let-go', Severity::Fail])
        ->and($verdict([$pull]))
        ->toBe(['bonds', 'adhesion.held', Severity::Pass])
        ->and($verdict([['mode' => 'adhesive'] + $pull], 'membrane-butyl')[0])
        ->toBe('prime first');
    $project = readProject(pulledProject([$pull]));
    expect(json_decode(ProjectFormat::write($project), true)['adhesion'])->toBe(pulledProject([$pull])['adhesion']);
});

it('refuses a pull that cannot be used, and says where', function (array $pulls, string $at, string $expected) {
    expect(fn () => readProject(pulledProject($pulls)))->toThrow(
        fn (Apron\Json\FileRefused $e) => expect([$e->pointer, $e->expected])->toBe([$at, $expected]),
    );
})->with([
    'none' => [[], '/adhesion/0/pulls', 'a list of 1 to 500'],
    'a day that is none' => [
        [['at' => 'last Monday', 'by' => 'x', 'mode' => 'cohesive']],
        '/adhesion/0/pulls/0/at',
        'a day, as 2026-05-01',
    ],
    'a day that the month has not' => [
        [['at' => '2026-02-31', 'by' => 'x', 'mode' => 'cohesive']],
        '/adhesion/0/pulls/0/at',
        'a day, as 2026-05-01',
    ],
    'no such mode' => [
        [['at' => '2026-05-01', 'by' => 'x', 'mode' => 'held']],
        '/adhesion/0/pulls/0/mode',
        'one of cohesive, adhesive, substrate',
    ],
]);

it('goes by the face that was tried, the last of several tests, and by what is stuck alone', function () {
    $test = fn (string $id, string $on, string $at, AdhesionMode $mode): AdhesionTest => new AdhesionTest(
        $id,
        'a',
        $on,
        [new Pull($at, 'A. Inspector', $mode)],
    );
    $judged = fn (array $tests, How $how = How::Bonded): string => Resolver::judge(
        new Touch(materialOf('tape:acrylic', 'a'), materialOf('concrete', 'b'), $how),
        new Settled(tests: $tests),
    )->rule;
    $old = $test('t1', 'b', '2026-05-01', AdhesionMode::Adhesive);
    $new = $test('t2', 'b', '2026-06-01', AdhesionMode::Cohesive);
    expect($judged([$test('t1', 'c', '2026-05-01', AdhesionMode::Adhesive)]))
        ->toBe('acrylic.on.concrete')
        ->and($judged([$old, $new]))
        ->toBe('adhesion.held')
        ->and($judged([$new, $old]))
        ->toBe('adhesion.held')
        ->and($judged([$old]))
        ->toBe('adhesion.let-go')
        ->and((new Settled(tests: [$old]))->test(
            new Touch(materialOf('tape:acrylic', 'a'), materialOf('concrete', 'b'), How::Touches),
        ))
        ->toBeNull();
});
