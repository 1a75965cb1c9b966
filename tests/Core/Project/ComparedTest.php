<?php

declare(strict_types=1);

use Apron\Project\Compared;

/** @param  array<string, string>  $severities  by key */
function whatChanged(array $severities, array $accepted = []): array
{
    return array_map(
        fn (string $key, string $severity): stdClass => (object) [
            'key' => $key,
            'severity' => $severity,
            'title' => "title of $key",
            'subject' => 'assemblies/w1',
            'accepted' => in_array($key, $accepted, true) ? (object) ['by' => 'x'] : null,
        ],
        array_keys($severities),
        array_values($severities),
    );
}

function comparedFiles(array $before, array $after, array $said = [], array $says = []): array
{
    $file = fn (array $rows): stdClass => json_decode(json_encode(['format' => 'apron-project/1'] + $rows));

    return (new Compared($file($before), $file($after), $said, $says))->toArray();
}

it('tells which rows came, went and changed, and in what, wherever they stand', function () {
    $wall = ['id' => 'w1', 'name' => 'Wall', 'layers' => [
        ['id' => 'l1', 'material' => 'osb', 'thickness_mm' => 11],
        ['id' => 'l2', 'material' => 'xps', 'thickness_mm' => 50.0],
    ]];
    $roof = ['id' => 'r1', 'name' => 'Roof', 'layers' => []];
    $floor = ['id' => 'f1', 'name' => 'Floor', 'layers' => []];
    $thicker = ['layers' => [
        ['id' => 'l2', 'material' => 'xps', 'thickness_mm' => 75],
        ['id' => 'l1', 'material' => 'osb', 'thickness_mm' => 11.0],
    ]] + $wall;
    $told = comparedFiles(['assemblies' => [$wall, $roof]], ['assemblies' => [$floor, $thicker]])['documents'];
    expect(array_map(fn (array $d): string => "{$d['change']} {$d['section']} {$d['title']}", $told))
        ->toEqualCanonicalizing(['changed assemblies Wall', 'removed assemblies Roof', 'added assemblies Floor']);
    $changed = array_values(array_filter($told, fn (array $d): bool => $d['change'] === 'changed'))[0];
    // A layer that only stands elsewhere, and 11 written as 11.0, are no change.
    expect($changed['fields'])->toBe([['at' => '/layers/l2/thickness_mm', 'was' => '50', 'now' => '75']]);
});

it('tells of what is one thing only, and nothing of what is the same or only added to', function () {
    $before = ['project' => ['name' => 'A', 'units' => 'si'], 'site' => ['events' => []]];
    $after = ['project' => ['name' => 'B', 'units' => 'si'], 'site' => ['events' => [['id' => 'v']]]];
    $told = comparedFiles($before, $after)['documents'];
    expect($told)->toHaveCount(1)->and($told[0]['fields'])->toBe([['at' => '/name', 'was' => 'A', 'now' => 'B']]);
    expect(comparedFiles($before, $before)['documents'])->toBe([]);
});

it('counts what is too much to tell, and shortens what is too long', function () {
    $row = fn (int $by): array => ['id' => 'x', 'name' => str_repeat('long ', 40 + $by)] +
        array_combine(array_map(fn (int $i): string => "k$i", range(1, 30)), range($by, 29 + $by));
    $told = comparedFiles(['assemblies' => [$row(0)]], ['assemblies' => [$row(1)]])['documents'][0];
    expect($told['fields'])
        ->toHaveCount(12)
        ->and($told['more'])
        ->toBe(19)
        ->and(mb_strlen($told['fields'][0]['now']))
        ->toBeLessThanOrEqual(80);
});

it('tells which findings came, went and weigh another, accepted ones too', function () {
    $said = whatChanged(['a' => 'fail', 'b' => 'caution', 'c' => 'fail', 'd' => 'note']);
    $says = whatChanged(['a' => 'fail', 'b' => 'fail', 'c' => 'fail', 'e' => 'caution'], ['c']);
    $told = comparedFiles([], [], $said, $says)['findings'];
    expect(array_column($told['came'], 'key'))
        ->toBe(['e'])
        ->and(array_column($told['went'], 'key'))
        ->toBe(['d'])
        ->and(array_map(fn (array $f): string => "{$f['key']}: {$f['was']} → {$f['severity']}", $told['changed']))
        ->toBe(['b: caution → fail', 'c: fail → fail, accepted']);
});
