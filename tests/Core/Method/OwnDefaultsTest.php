<?php

declare(strict_types=1);

use Apron\Detail\Detail;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Quantity\Display;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Trace\DetailAssessment;

/** A method at its own figures, in an opening or along a joint of the usual size, and what is said otherwise. */
function atItsFigures(string $method, array $said = []): Detail
{
    $usual = ['width_mm' => 900.0, 'height_mm' => 1200.0, 'depth_mm' => 140.0, 'length_mm' => 1500.0];
    $sizes = [];
    foreach (Methods::named($method)->parameters() as $parameter) {
        if ($parameter['kind'] === 'size') {
            $sizes[$parameter['name']] = min(
                $parameter['most'],
                max($parameter['least'], $usual[$parameter['name']] ?? 100.0),
            );
        }
    }

    return Methods::named($method)->make('o1', 'O', [...$sizes, ...$said], new Materials([], new Catalogue));
}

/** @return list<string> what is said of it that its own figures must not bring about */
function flagged(Detail $detail): array
{
    return array_values(
        array_unique(
            array_map(
                fn (Finding $f): string => "{$f->severity->value} $f->code",
                array_filter(
                    (new DetailAssessment($detail))->findings(),
                    fn (Finding $f): bool => $f->severity->value === 'fail' || str_starts_with($f->code, 'lap.short'),
                ),
            ),
        ),
    );
}

it('flags nothing of its own usual figures', function (string $method) {
    expect(flagged(atItsFigures($method)))->toBe([]);
})->with(fn (): array => array_map(fn ($m): string => $m->name(), Methods::all()));

it('flags nothing of its usual figures in inches either, and says them as the trade does', function (string $method) {
    $inches = Methods::named($method)->inInches();
    expect(flagged(atItsFigures($method, $inches)))->toBe([]);
    $shown = new Display(UnitSystem::US);
    foreach ($inches as $name => $mm) {
        // Whole inches or a fraction down to a sixteenth: no 2.95 in.
        expect($shown->figure($name, $mm))->toMatch('#^(\d+|\d+-\d+/\d+|\d+/\d+) in$#', "$method: $name");
    }
})->with(fn (): array => array_map(fn ($m): string => $m->name(), Methods::all()));

it('scales with the board in front of the wall, from 25 to 300 mm', function (string $method) {
    // 38, 51 and 64 mm are 1½, 2 and 2½ in; two inches is what is mostly built.
    foreach ([25.0, 38.1, 50.8, 63.5, 76.2, 100.0, 150.0, 200.0, 300.0] as $board) {
        $stated = ['insulation_mm' => $board];
        expect(flagged(atItsFigures($method, $stated)))->toBe([], "$method behind $board mm");
        // Metal that follows the board stays at eighths of an inch.
        $inches = $stated + Methods::named($method)->inInches($stated);
        expect(flagged(atItsFigures($method, $inches)))->toBe([], "$method behind $board mm, in inches");
    }
})->with(
    fn (): array => array_values(
        array_filter(
            array_map(fn ($m): string => $m->name(), Methods::all()),
            fn (string $name): bool => in_array(
                'insulation_mm',
                array_column(Methods::named($name)->parameters(), 'name'),
                true,
            ),
        ),
    ),
);

it('calls a lap over metal short where somebody drew it shorter than the metal lets it be', function () {
    $short = atItsFigures('through-wall-flashing', ['insulation_mm' => 50.8, 'metal_lap_mm' => 5.0]);
    expect(flagged($short))->toBe(['fail lap.short']);
});

it('still refuses metal through the whole board, and says what would be right', function () {
    expect(fn () => atItsFigures('unit-in-two-planes', ['insulation_mm' => 50.8, 'metal_mm' => 60.0]))->toThrow(
        Apron\Drafting\CannotGenerate::class,
        'metal_mm is 60; expected less than 50.8 mm',
    );
});

it('tells of no strip that has no width', function () {
    $told = 0;
    foreach (Methods::all() as $method) {
        foreach ((new DetailAssessment(atItsFigures($method->name())))->findings() as $finding) {
            if (str_starts_with($finding->code, 'rain.') && isset($finding->figures['from_mm'])) {
                $width = $finding->figures['to_mm'] - $finding->figures['from_mm'];
                expect($width)->toBeGreaterThan(0.1, $finding->key());
                $told++;
            }
        }
    }
    expect($told)->toBeGreaterThan(10);
});

it('draws an opening of a project in inches by the trade’s inches, and what it states itself as stated', function () {
    $opening = fn (string $units, array $said = []) => readProject([
        'format' => 'apron-project/1',
        'project' => ['name' => 'x', 'units' => $units],
        'openings' => [
            [
                'id' => 'o1',
                'title' => 'O',
                'generator' => 'flanged-unit-in-fastened-sheet',
                'parameters' => ['width_mm' => 914.4, 'height_mm' => 1219.2, 'depth_mm' => 139.7] + $said,
            ],
        ],
    ])->details[0]->generated->parameters;
    expect($opening('us')['face_return_mm'])
        ->toEqualWithDelta(76.2, 1e-9)
        ->and($opening('us', ['face_return_mm' => 50.8])['face_return_mm'])
        ->toEqualWithDelta(50.8, 1e-9)
        ->and($opening('si')['face_return_mm'] ?? 75.0)
        ->toEqualWithDelta(75.0, 1e-9);
});
