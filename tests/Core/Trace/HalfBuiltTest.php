<?php

declare(strict_types=1);

use Apron\Detail\Detail;
use Apron\Detail\DetailFormat;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Rules\Finding;
use Apron\Trace\HalfBuilt;
use Apron\Trace\Outcome;

require_once __DIR__.'/Support.php';

function window(string $method = 'flanged-unit-in-fastened-sheet', array $more = []): Detail
{
    return Methods::named($method)->make(
        'o',
        'O',
        $more + ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
        new Materials([], new Catalogue),
    );
}

it('keeps only what has come to rest, and the unit’s joints only once it is in', function () {
    $half = HalfBuilt::after(window(), 4);
    expect(array_map(fn ($p) => $p->id, $half->pieces))
        ->toBe(['sheet', 'pan', 'liner-left', 'liner-right', 'head-liner'])
        ->and($half->unit)
        ->toBeNull()
        // The flap is still held up.
        ->and(array_map(fn ($p) => $p->id, $half->piece('sheet')->patches))
        ->not->toContain('sheet.flap')
        ->and(HalfBuilt::after(window(), 5)->unit)
        ->not->toBeNull()
        ->and(HalfBuilt::after(window(), 0)->pieces)
        ->toBe([]);
});

it('finds the steps after which a shower does no harm', function (string $method, array $safe) {
    $states = HalfBuilt::eachStep(window($method));
    expect(
        array_values(array_map(fn (array $s) => $s['step'], array_filter($states, fn (array $s) => $s['safe']))),
    )->toBe($safe);
    foreach ($states as $state) {
        expect($state['wets'] === [])->toBe(! $state['worst']->harms());
    }
})->with([
    ['flanged-unit-in-fastened-sheet', [8, 9, 10]],
    ['flanged-unit-in-self-adhered', [8, 9]],
    ['flanged-unit-in-fluid', [2, 3, 4, 5]],
    ['strapped-unit-in-self-adhered', [5, 6, 7, 8, 9]],
]);

it('wets everything where nothing is laid yet, and is finished as the whole detail is', function () {
    $states = HalfBuilt::eachStep(window());
    expect($states[0]['worst'])
        ->toBe(Outcome::Wets)
        ->and(end($states)['worst'])
        ->toBe((new Apron\Trace\DetailAssessment(window()))->worst());
});

it('covers no more than what is bare: the cut edge of the board and 150 past it', function () {
    $states = array_column(HalfBuilt::eachStep(window('unit-in-two-planes')), null, 'step');
    expect($states[7]['safe'])
        ->toBeTrue()
        ->and($states[8]['wets'])
        ->toBe(['reveal-sill'])
        ->and($states[10]['safe'])
        ->toBeTrue();
    $cover = $states[8]['cover'];
    expect([$cover->u0, $cover->v0, $cover->u1, $cover->v1])->toBe([-150.0, -150.0, 1050.0, 1700.0]);
});

it('covers a flanged unit behind a board whose cut edge is still bare', function () {
    $states = array_column(HalfBuilt::eachStep(window('flanged-unit-in-two-planes')), null, 'step');
    expect($states[9]['safe'])
        ->toBeTrue()
        ->and($states[10]['wets'])
        ->toBe(['reveal-sill'])
        ->and($states[10]['cover'])
        ->not->toBeNull()
        ->and($states[12]['safe'])
        ->toBeTrue();
});

it('knows no cover for a pipe that sticks out of the wall below an eaves', function () {
    $detail = roofDetail([
        piece('roofing', 'membrane', 1, [
            ['roof', [0, 0, 1000, 500], ['joined' => ['r']]],
            ['face', [0, 800, 1000, 1000], ['joined' => ['r']]],
        ]),
    ]) + ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600]]]];
    $states = HalfBuilt::eachStep(DetailFormat::read(Node::of($detail), new Materials([], new Catalogue)));
    expect($states[0]['safe'])->toBeFalse()->and($states[0]['cover'])->toBeNull();
});

it('keeps the key of a finding through edits that move what it speaks of', function () {
    $keys = fn (Detail $detail) => array_map(
        fn (Finding $f) => $f->key(),
        (new Apron\Trace\DetailAssessment($detail))->findings(),
    );
    expect($keys(window()))->toBe($keys(window(more: ['width_mm' => 2400, 'height_mm' => 700])));
    foreach ($keys(window()) as $key) {
        expect($key)->not->toMatch('/\d{2}/');
    }
});

it(
    'prints the paths of a detail on the command line, and refuses a file that cannot be used with nothing on standard output',
    function () {
        $run = function (string $json, string ...$more): array {
            $process = proc_open(
                [PHP_BINARY, __DIR__.'/../../../bin/trace.php', '-', ...$more],
                [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
                $pipes,
            );
            fwrite($pipes[0], $json);
            fclose($pipes[0]);
            [$out, $err] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

            return [proc_close($process), $out, $err];
        };
        $file = demoFile();
        [$code, $out] = $run(json_encode($file));
        expect($code)
            ->toBe(0)
            ->and($out)
            ->toContain('relies on bond')
            ->toContain('it crosses onto slit tape, left')
            ->toContain('it comes out from behind unit')
            ->toContain('not approved');
        expect($run(json_encode($file), 'no-such-detail')[1])->not->toContain('it crosses');
        // The flap forgotten: the wall above the head strip is bare.
        $sheet = array_search('sheet', array_column($file['details'][0]['pieces'], 'id'), true);
        $file['details'][0]['pieces'][$sheet]['patches'] = array_values(
            array_filter($file['details'][0]['pieces'][$sheet]['patches'], fn (array $p) => $p['id'] !== 'sheet.flap'),
        );
        [$code, $out] = $run(json_encode($file));
        expect($code)->toBe(1)->and($out)->toContain('it reaches bare substrate where sheet ends');
        [$code, $out, $err] = $run('{"format": "apron-project/1"}');
        expect($code)->toBe(2)->and($out)->toBe('')->and($err)->toContain('/project');
    },
);

it('says which sheet to hang over it for the night, and that it holds', function (
    string $name,
    array $sizes,
    array $expected,
) {
    $states = HalfBuilt::eachStep(Methods::named($name)->make('o', 'O', $sizes, new Materials([], new Catalogue)));
    foreach ($states as $state) {
        expect($state['cover'] === null || ! $state['safe'])->toBeTrue();
    }
    expect(
        array_map(
            fn (array $s) => $s['cover'] === null
                ? null
                : [$s['cover']->u0, $s['cover']->v0, $s['cover']->u1, $s['cover']->v1],
            array_slice($states, 0, count($expected)),
        ),
    )->toEqual($expected);
})->with([
    // While the head is open all of it; once only the sheet above the head strip is still up, a strip past its slits,
    // from 150 below where it gets wet.
    'a flanged window' => [
        'flanged-unit-in-fastened-sheet',
        ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
        [...array_fill(0, 6, [-500, -500, 1400, 1700]), [-340, 1300, 1240, 1700], null, null, null],
    ],
    // Bare wood until the field coat is on. The unit comes in later: what it leaks is no matter yet.
    'a unit on straps in a coat' => [
        'strapped-unit-in-fluid',
        ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140],
        [[-500, -500, 1400, 1700], null, null],
    ],
    // Nothing there at all, then metal alone: over all of it, and over the arrises.
    'a through-wall flashing' => [
        'through-wall-flashing',
        ['length_mm' => 900],
        [[0, 0, 900, 600], [0, 0, 900, 600], [0, 0, 900, 600], null],
    ],
    // A pipe sticks out through any sheet.
    'a pipe' => ['round-penetration', ['diameter_mm' => 100], [null, [-500, -500, 600, 600], null]],
]);
