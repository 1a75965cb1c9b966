<?php

declare(strict_types=1);

use Apron\Building\Envelope;

require_once __DIR__.'/Boxes.php';

/** @return array<string, float> m by kind of joint */
function lengthsOf(Envelope $envelope): array
{
    $lengths = [];
    foreach ($envelope->joints as $joint) {
        $lengths[$joint->kind->value] = round(($lengths[$joint->kind->value] ?? 0.0) + $joint->length, 3);
    }
    ksort($lengths);

    return $lengths;
}

it('finds the parts, the areas and the joints of a building', function (stdClass $case) {
    $envelope = envelopeOf($case->building);
    expect($envelope->volume)
        ->toEqualWithDelta($case->volume_m3, 1e-6)
        ->and($envelope->area())
        ->toEqualWithDelta($case->envelope_m2, 1e-3);
    foreach ((array) $case->parts as $id => $gross) {
        expect($envelope->parts)->toHaveKey($id);
        expect($envelope->parts[$id]->gross)->toEqualWithDelta($gross, 1e-3, $id);
    }
    $expected = array_map(fn (float|int $m): float => round($m, 3), (array) $case->joints);
    ksort($expected);
    $found = lengthsOf($envelope);
    expect(array_keys($found))->toBe(array_keys($expected), $case->why);
    foreach ($expected as $kind => $metres) {
        expect($found[$kind])->toEqualWithDelta($metres, 2e-3, "$kind. {$case->why}");
    }
    $ids = array_column($envelope->joints, 'id');
    expect($ids)->toBe(array_values(array_unique($ids)));
})->with(buildingCases(...));

/** @return list<array{float, float}> a simple outline with right and odd angles, whole mm */
function oddOutline(int $seed): array
{
    mt_srand($seed);
    $corners = [];
    $n = mt_rand(5, 9);
    for ($i = 0; $i < $n; $i++) {
        $angle = (2 * M_PI * ($i + 0.6 * mt_rand(0, 100) / 100)) / $n;
        $far = mt_rand(5000, 12000);
        $corners[] = [(int) round($far * cos($angle)), (int) round($far * sin($angle))];
    }

    return $corners;
}

/** @param  list<array<string, mixed>>  $blocks */
function blocksOf(array $blocks): Envelope
{
    return envelopeOf(json_decode((string) json_encode(['blocks' => $blocks])));
}

it('comes to the same whichever way an outline is walked, and wherever it stands', function (int $seed) {
    $block = ['id' => 'b', 'outline' => oddOutline($seed), 'base_mm' => -1000, 'top_mm' => 3000];
    $one = blocksOf([$block]);
    $turned = blocksOf([['outline' => array_reverse($block['outline'])] + $block]);
    $moved = array_map(fn (array $c): array => [$c[0] + 123456, $c[1] - 98765], $block['outline']);
    $away = blocksOf([['outline' => $moved] + $block]);
    $sum = fn (array $edges): int => array_sum($edges);
    foreach ([$turned, $away] as $other) {
        expect($other->area())
            ->toEqualWithDelta($one->area(), 1e-6)
            ->and($other->volume)
            ->toEqualWithDelta($one->volume, 1e-6)
            ->and(lengthsOf($other))
            ->toBe(lengthsOf($one));
    }
    // Corners on plan: as many outside ones more than inside ones as a turn has.
    $corners = array_count_values(array_map(fn ($j): string => $j->kind->value, $one->joints));
    $perimeter = 0.0;
    foreach ($one->building->blocks[0]->outline->edges as $edge) {
        $perimeter += $edge->length / 1000;
    }
    expect(lengthsOf($one)['parapet'])
        ->toEqualWithDelta($perimeter, 1e-2)
        ->and(lengthsOf($one)['wall-to-foundation'])
        ->toEqualWithDelta($perimeter, 1e-2)
        ->and(lengthsOf($one)['outside-corner'] + (lengthsOf($one)['inside-corner'] ?? 0.0))
        ->toEqualWithDelta(4 * count($block['outline']), 1e-2)
        ->and($corners['outside-corner'])
        ->toBeGreaterThan($corners['inside-corner'] ?? 0);
})->with(range(1, 25));

it('does not mind a block being two, nor in which order they are given', function (int $seed) {
    mt_srand($seed);
    [$w, $d, $h] = [1000 * mt_rand(6, 30), 1000 * mt_rand(4, 20), 100 * mt_rand(25, 90)];
    [$at, $high] = [100 * mt_rand(10, $w / 100 - 10), $h + 100 * mt_rand(5, 30)];
    $rect = fn (int $x0, int $y0, int $x1, int $y1): array => [[$x0, $y0], [$x1, $y0], [$x1, $y1], [$x0, $y1]];
    $block = fn (string $id, array $outline, int $base, int $top): array => [
        'id' => $id,
        'outline' => $outline,
        'base_mm' => $base,
        'top_mm' => $top,
        'wall' => 'w1',
        'roof' => 'r1',
        'slab' => 'f1',
    ];
    $tower = $block('t', $rect(-3000, 0, 0, $d), 0, $high);
    $whole = blocksOf([$block('a', $rect(0, 0, $w, $d), 0, $h), $tower]);
    $halves = [$block('a', $rect(0, 0, $at, $d), 0, $h), $block('b', $rect($at, 0, $w, $d), 0, $h)];
    foreach ([[...$halves, $tower], [$tower, ...array_reverse($halves)]] as $blocks) {
        $split = blocksOf($blocks);
        expect($split->area())
            ->toEqualWithDelta($whole->area(), 1e-6)
            ->and($split->volume)
            ->toEqualWithDelta($whole->volume, 1e-6)
            ->and(lengthsOf($split))
            ->toBe(lengthsOf($whole));
    }
})->with(range(1, 15));

it('finds what two outlines have in common, whatever their angles', function () {
    $outline = fn (array $corners) => new Apron\Building\Outline($corners);
    $square = $outline([[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]]);
    // A square on its corner over a square: the closed form of each.
    $diamond = $outline([[5.0, -5.0], [15.0, 5.0], [5.0, 15.0], [-5.0, 5.0]]);
    expect($square->common($diamond))
        ->toEqualWithDelta(100.0, 1e-9)
        ->and($square->common($outline([[5.0, 0.0], [10.0, 5.0], [5.0, 10.0], [0.0, 5.0]])))
        ->toEqualWithDelta(50.0, 1e-9)
        ->and($square->common($outline([[5.0, 5.0], [25.0, 5.0], [5.0, 25.0]])))
        ->toEqualWithDelta(25.0, 1e-9)
        ->and($square->common($outline([[10.0, 0.0], [20.0, 0.0], [20.0, 10.0]])))
        ->toBe(0.0);
});

it('refuses a building that cannot be built, at its place', function (array $change, string $at) {
    $rect = [[0, 0], [8000, 0], [8000, 6000], [0, 6000]];
    $blocks = [['id' => 'a', 'outline' => $rect, 'base_mm' => 0, 'top_mm' => 3000]];
    foreach ($change as $i => $row) {
        $blocks[$i] = $row + ($blocks[$i] ?? []);
    }
    expect(fn () => blocksOf($blocks))->toThrow(
        fn (Apron\Json\FileRefused $e) => expect($e->pointer)->toBe("/blocks$at"),
    );
})->with([
    'crosses itself' => [[['outline' => [[0, 0], [8000, 6000], [8000, 0], [0, 6000]]]], '/0/outline'],
    'touches itself' => [
        [['outline' => [[0, 0], [8000, 0], [8000, 6000], [4000, 0], [0, 6000]]]],
        '/0/outline',
    ],
    'back along itself' => [[['outline' => [[0, 0], [8000, 0], [4000, 0], [4000, 6000]]]], '/0/outline'],
    'two corners in one' => [[['outline' => [[0, 0], [0, 0], [8000, 0], [8000, 6000]]]], '/0/outline/0'],
    'of two corners' => [[['outline' => [[0, 0], [8000, 0]]]], '/0/outline'],
    'of half a millimetre' => [[['outline' => [[0, 0], [8000.5, 0], [8000, 6000]]]], '/0/outline/1/0'],
    'no height' => [[['top_mm' => 0]], '/0/top_mm'],
    'one in another' => [
        [1 => ['id' => 'b', 'outline' => [[1000, 1000], [2000, 1000], [1000, 2000]], 'base_mm' => 0, 'top_mm' => 9]],
        '/1',
    ],
    'two of one name' => [
        [1 => ['id' => 'a', 'outline' => [[9000, 0], [9500, 0], [9000, 500]], 'base_mm' => 0, 'top_mm' => 9]],
        '/1/id',
    ],
    'a gable over a triangle' => [
        [
            [
                'outline' => [[0, 0], [8000, 0], [0, 6000]],
                'roof_form' => ['kind' => 'gable', 'pitch_deg' => 30, 'ridge_along' => 0],
            ],
        ],
        '/0/roof_form/kind',
    ],
    'a mono-pitch from the middle' => [
        [
            [
                'outline' => [[0, 0], [8000, 0], [8000, 6000], [4000, 6000], [4000, 3000], [0, 3000]],
                'roof_form' => ['kind' => 'mono', 'pitch_deg' => 10, 'low_edge' => 4],
            ],
        ],
        '/0/roof_form/low_edge',
    ],
    'a block beside a pitched roof' => [
        [
            ['roof_form' => ['kind' => 'mono', 'pitch_deg' => 10, 'low_edge' => 0]],
            [
                'id' => 'b',
                'outline' => [[8000, 0], [9000, 0], [9000, 6000], [8000, 6000]],
                'base_mm' => 0,
                'top_mm' => 4000,
            ],
        ],
        '/1',
    ],
    'ground under no edge' => [[['ground_mm' => ['7' => 0]]], '/0/ground_mm/7'],
    'a stretch past its edge' => [
        [['stretches' => [['edge' => 0, 'from_mm' => 0, 'to_mm' => 9000, 'assembly' => 'w']]]],
        '/0/stretches/0/to_mm',
    ],
    'inside of nothing' => [[['inside' => 'warm']], '/0/inside'],
]);
