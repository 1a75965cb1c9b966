<?php

declare(strict_types=1);

use Apron\Trace\Check\GapVolumes;

require_once __DIR__.'/Support.php';

/** Where outdoor air comes in that gets to the room. @return list<string> */
function leaks(array $detail): array
{
    return array_map(
        fn (array $leak) => "{$leak['gap']} ".($leak['facet'] ?? 'outdoors'),
        traced($detail)->of(GapVolumes::class)->leaks,
    );
}

it('follows outdoor air through the gaps to the room as its reasons say', function (
    array $detail,
    array $expected,
    string $why,
) {
    expect(leaks($detail))->toBe($expected, $why);
})->with(require __DIR__.'/gaps.php');

it('says what leaks and by what way, and tells it in words', function () {
    $detail = (require __DIR__.'/gaps.php')['three gaps in a row'][0];
    $assessed = traced($detail);
    expect($assessed->of(GapVolumes::class)->leaks)
        ->toHaveCount(1)
        ->and($assessed->of(GapVolumes::class)->leaks[0]['through'])
        ->toBe(['far', 'near', 'joint'])
        ->and($assessed->toArray(new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI))['leaks'][0])
        ->toBe([
            'gap' => 'far',
            'facet' => 'foot',
            'rect' => [0.0, 90.0, 500.0, 94.0],
            'through' => ['far', 'near', 'joint'],
        ]);
    $found = array_values(array_filter($assessed->findings(), fn ($f) => $f->code === 'air.gap'));
    $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::US);
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->severity->value)
        ->toBe('caution')
        ->and($words->text('air.gap', 'title', $found[0]->figures))
        ->toBe('Outdoor air gets to the room through the gap “far”')
        ->and($words->text('air.gap', 'reason', $found[0]->figures))
        ->toContain('open at the underside')
        ->toContain('far → near → joint');
    // Nothing of it where a detail states no gaps.
    expect(traced(wallDetail([one('sheet', 'sheet', 1, [0, 0, 1000, 1000])]))->toArray($words))->not->toHaveKey(
        'leaks',
    );
});

it('reads gaps as it writes them, and says where they are wrong', function (array $gaps, string $place) {
    $detail = wallDetail([one('sheet', 'sheet', 1, [0, 0, 1000, 1000])], ['gaps' => $gaps]);
    if ($place === '') {
        $read = Apron\Detail\DetailFormat::read(
            Apron\Json\Node::of($detail),
            new Apron\Material\Materials([], new Apron\Material\Catalogue),
        );
        expect(Apron\Detail\DetailWriter::write($read)['gaps'])->toEqual($gaps);

        return;
    }
    $at = null;
    try {
        traced($detail);
    } catch (Apron\Json\FileRefused $refused) {
        $at = $refused->pointer;
    }
    expect($at)->toBe("/gaps/$place");
})->with([
    'as it should be' => [
        [
            [
                'id' => 'a',
                'mouths' => [
                    ['facet' => 'face', 'rect' => [0, 0, 10, 10], 'to' => 'indoors'],
                    ['facet' => 'face', 'rect' => [20, 0, 30, 10]],
                ],
                'joins' => ['b'],
            ],
            ['id' => 'b', 'joins' => ['outdoors']],
        ],
        '',
    ],
    'a mouth off its facet' => [
        [['id' => 'a', 'mouths' => [['facet' => 'face', 'rect' => [0, 0, 10, 1001]]]]],
        '0/mouths/0/rect',
    ],
    'a mouth of no size' => [
        [['id' => 'a', 'mouths' => [['facet' => 'face', 'rect' => [0, 0, 0, 10]]]]],
        '0/mouths/0/rect',
    ],
    'a mouth on a facet that is not there' => [
        [['id' => 'a', 'mouths' => [['facet' => 'roof', 'rect' => [0, 0, 10, 10]]]]],
        '0/mouths/0/facet',
    ],
    'to a side that is none' => [
        [['id' => 'a', 'mouths' => [['facet' => 'face', 'rect' => [0, 0, 10, 10], 'to' => 'above']]]],
        '0/mouths/0/to',
    ],
    'joined to nothing known' => [[['id' => 'a', 'joins' => ['c']]], '0/joins/0'],
    'joined to itself' => [[['id' => 'a', 'joins' => ['a']]], '0/joins/0'],
    'one id twice' => [[['id' => 'a'], ['id' => 'a']], '1/id'],
    'named as the room is' => [[['id' => 'indoors']], '0/id'],
]);

it('covers a mouth with many small pieces as with one (a grid counted square by square)', function (int $seed) {
    mt_srand($seed);
    $mouth = new Apron\Detail\Rect(0.0, 0.0, 6.0, 6.0);
    $rects = array_map(function (): Apron\Detail\Rect {
        [$u, $v] = [mt_rand(-1, 5), mt_rand(-1, 5)];

        return new Apron\Detail\Rect(
            (float) $u,
            (float) $v,
            (float) ($u + mt_rand(1, 6)),
            (float) ($v + mt_rand(1, 6)),
        );
    }, range(1, mt_rand(1, 9)));
    $covered = true;
    for ($i = 0; $i < 36; $i++) {
        [$u, $v] = [($i % 6) + 0.5, intdiv($i, 6) + 0.5];
        $covered =
            $covered &&
            array_filter($rects, fn ($r) => $r->u0 < $u && $r->u1 > $u && $r->v0 < $v && $r->v1 > $v) !== [];
    }
    expect($mouth->coveredBy($rects))->toBe($covered);
})->with(range(1, 120));

it(
    'leaves no way in through the gaps of what its generators make, but where the joint of panels is only taped',
    function (string $name) {
        foreach ($name === 'panel-joint' ? ['sealed', 'tape-only'] : [null] as $cavities) {
            $detail = Apron\Method\Methods::named($name)->make(
                'd',
                'D',
                usualSizes($name) + ($cavities === null ? [] : ['cavities' => $cavities]),
                new Apron\Material\Materials([], new Apron\Material\Catalogue),
            );
            $leaks = (new Apron\Trace\DetailAssessment($detail))->of(GapVolumes::class)->leaks;
            expect($detail->gaps)
                ->not->toBe([])
                ->and(array_column($leaks, 'gap'))
                ->toBe($cavities === 'tape-only' ? ['behind-left', 'behind-right'] : []);
        }
    },
)->with(['panel-joint', 'flanged-unit-in-faced-sheathing']);

it('needs the liners or the beads of sheathing on framing, and says at which side both are missing', function () {
    $row = Apron\Detail\DetailWriter::write(
        Apron\Method\Methods::named('flanged-unit-in-faced-sheathing')->make(
            'd',
            'D',
            usualSizes('flanged-unit-in-faced-sheathing'),
            new Apron\Material\Materials([], new Apron\Material\Catalogue),
        ),
    );
    $without = fn (string ...$gone) => leaks(
        ['pieces' => array_values(array_filter($row['pieces'], fn (array $p) => ! in_array($p['id'], $gone, true)))] +
            $row,
    );
    expect($without())
        ->toBe([])
        ->and($without('gap-bead-jamb-left'))
        ->toBe([])
        ->and($without('liner-left'))
        ->toBe([])
        ->and($without('gap-bead-jamb-left', 'liner-left'))
        ->toBe(['behind-sheathing jamb-left']);
});
