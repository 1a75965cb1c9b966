<?php

declare(strict_types=1);

use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Drafting\CannotGenerate;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;

/** An answer for every choice, one after the other, each out of what the ones before it leave open. */
function answeredWildly(string $name): array
{
    $answers = [];
    do {
        $open = array_filter(
            Methods::named($name)->parameters($answers),
            fn (array $p): bool => $p['kind'] === 'choice' && ! isset($answers[$p['name']]),
        );
        foreach (array_slice($open, 0, 1) as $p) {
            $answers[$p['name']] = $p['of'][mt_rand(0, count($p['of']) - 1)];
        }
    } while ($open !== []);

    // An answer may take away the question of one before it.
    $asked = array_column(Methods::named($name)->parameters($answers), 'name');

    return array_intersect_key($answers, array_flip($asked));
}

/** Sizes and figures drawn wildly: most as they are, some far too small or too large, a few of nothing. */
function wildly(string $name, int $seed): array
{
    mt_srand($seed * 7919 + crc32($name));
    $parameters = answeredWildly($name);
    foreach (Methods::named($name)->parameters($parameters) as $p) {
        if ($p['kind'] === 'size') {
            $parameters[$p['name']] = (float) mt_rand((int) $p['least'], (int) $p['most']);
        } elseif ($p['kind'] === 'figure' && mt_rand(0, 3) === 0) {
            $parameters[$p['name']] = round($p['value'] * [0.0, 0.05, 0.5, 2.0, 5.0, 40.0][mt_rand(0, 5)], 1);
        }
    }

    return $parameters;
}

it('either says what is wrong with sizes, or makes of them what can be read, laid and drawn', function (
    string $name,
) {
    $made = 0;
    foreach (range(1, 60) as $seed) {
        $parameters = wildly($name, $seed);
        try {
            $detail = Methods::named($name)->make('o', 'O', $parameters, new Materials([], new Catalogue));
        } catch (CannotGenerate $said) {
            expect($said->expected)->not->toBe('');

            continue;
        }
        try {
            DetailFormat::read(Node::of(DetailWriter::write($detail)), new Materials([], new Catalogue));
            $made++;
        } catch (FileRefused $refused) {
            $this->fail("$name of ".json_encode($parameters).': '.$refused->getMessage());
        }
    }
    expect($made)->toBeGreaterThan(0);
})->with(array_keys(Methods::all()));

it('refuses figures that ask for a weave, and says between what', function () {
    $asked = ['width_mm' => 1183.0, 'height_mm' => 2221.0, 'depth_mm' => 657.0, 'face_return_mm' => 375.0];
    expect(
        fn () => Methods::named('flanged-unit-in-fastened-sheet')->make(
            'o',
            'O',
            $asked,
            new Materials([], new Catalogue),
        ),
    )->toThrow(CannotGenerate::class, 'a weave cannot be built');
});
