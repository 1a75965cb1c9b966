<?php

use Apron\Trace\GapVolumes;

require_once __DIR__.'/Support.php';

/** Where outdoor air comes in that gets to the room. @return list<string> */
function leaks(array $detail): array
{
    return array_map(fn (array $leak) => "{$leak['gap']} ".($leak['facet'] ?? 'outdoors'), traced($detail)->leaks);
}

it('follows outdoor air through the gaps to the room as its reasons say', function (array $detail, array $expected, string $why) {
    expect(leaks($detail))->toBe($expected, $why);
})->with(require __DIR__.'/gaps.php');
