<?php

declare(strict_types=1);

use Apron\Climate\Month;
use Apron\Contact\Conditions;
use Apron\Contact\ContactVerdict;
use Apron\Contact\How;
use Apron\Contact\Resolver;
use Apron\Contact\Season;
use Apron\Contact\Touch;
use Apron\Json\Node;
use Apron\Material\Families;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Material\Sticks;
use Apron\Material\Usual;
use Apron\Project\ContactSheet;

require_once __DIR__.'/Pairs.php';

/** @param  array<string, mixed>  $product */
function stickingOf(string $sticks, array $product = []): Material
{
    $row = ['id' => 'x', 'name' => 'X', 'conductivity_w_mk' => 0.2, 'sd_m' => 1, 'sticks' => $sticks];

    return MaterialFormat::read(Node::of($row + ($product === [] ? [] : ['product' => (object) $product])));
}

it('says of a month what a crew can count on', function (array $case) {
    $season = new Season(stickingOf($case['sticks'], $case['product'] ?? []));
    $said = $season->in(new Month((float) $case['air_c'], (float) $case['rh_pct']));
    expect($said->value)->toBe($case['state'], $case['why']);
})->with(fn () => array_map(
    fn (array $case): array => [$case],
    json_decode((string) file_get_contents(__DIR__.'/season.json'), true, 16, JSON_THROW_ON_ERROR)['cases'],
));

it('wants a primer in the cold where the sheet lets it be laid then', function () {
    $at = fn (float $c) => Resolver::judge(
        new Touch(
            stickingOf('sbs', ['primed_c' => -4]),
            materialOf('plywood', 'b'),
            How::Bonded,
            new Conditions(surfaceC: $c),
        ),
    );
    expect($at(3)->verdict)
        ->toBe(ContactVerdict::PrimeFirst)
        ->and($at(3)->rule)
        ->toBe('condition.cold-primed')
        ->and($at(-5)->verdict)
        ->toBe(ContactVerdict::NoBond)
        ->and($at(10)->verdict)
        ->toBe(ContactVerdict::Bonds);
});

it('knows what is usual of everything that sticks, and lets a data sheet win line by line', function () {
    foreach (Sticks::cases() as $sticks) {
        $usual = Usual::ofSticker($sticks);
        expect($usual->applicationC)->not->toBeNull($sticks->value)->and($usual->dampFace)->not->toBeNull();
    }
    $own = Usual::of(stickingOf('sbs', ['application_c' => [-9, 30], 'cure_at' => [[5, 72], [23, 24]]]));
    expect($own->applicationC)
        ->toBe([-9.0, 30.0])
        ->and($own->serviceC)
        ->toBe(Usual::ofSticker(Sticks::Sbs)->serviceC)
        ->and($own->cureAt)
        ->toBe([[5.0, 72.0], [23.0, 24.0]])
        ->and(Usual::of(materialOf('polyolefin', 'a'))->sunDays)
        ->toBe(120.0)
        ->and(Usual::sticker(materialOf('polyolefin', 'a')))
        ->toBeNull()
        ->and(Usual::of(materialOf('glass', 'a'))->sunDays)
        ->toBeNull();
});

it('names families alone in what is usual of them', function () {
    $known = array_column(Families::all(), 'id');
    $named = array_keys(json_decode(
        (string) file_get_contents(dirname(__DIR__, 3).'/core/data/usual.json'),
        true,
    )['families']);
    expect(array_diff($named, $known))->toBe([]);
});

it('refuses hours of cure that make no sense', function (array $rows, string $at) {
    expect(fn () => stickingOf('sbs', ['cure_at' => $rows]))->toThrow(
        fn (Apron\Json\FileRefused $e) => expect($e->pointer)->toBe("/product/cure_at$at"),
    );
})->with([
    'not warmer' => [[[5, 72], [5, 24]], '/1'],
    'slower when warm' => [[[5, 24], [23, 72]], '/1'],
    'no hours' => [[[5]], '/0'],
]);

it('lists what a project lays, by month, and what the sun does to it', function () {
    $file = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/database/demo/project.json'), true);
    $sheet = ContactSheet::of(readProject($file));
    $season = array_column($sheet['season'], null, 'material');
    expect($season)
        ->not->toBe([])
        ->and(array_unique(array_map(fn (array $row): int => count($row['months']), $season)))
        ->each->toBeIn([0, 12]);
    foreach ($season as $row) {
        expect($row['months'] !== [] || $row['sun_days'] !== null)->toBeTrue($row['material']);
    }
});
