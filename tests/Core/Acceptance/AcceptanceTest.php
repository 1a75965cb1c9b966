<?php

declare(strict_types=1);

use Apron\Acceptance\Acceptance;
use Apron\Json\FileRefused;

function acceptanceOf(string $severity, array $figures): Acceptance
{
    $stamp = Acceptance::stamp($severity, $figures);

    return new Acceptance('a.b@assemblies/w', 'so', 'N', '2026-01-01T00:00:00Z', $stamp);
}

it('holds while the figures are the same to three digits, in any order, and no longer', function (
    string $severity,
    array $figures,
    bool $changed,
) {
    $accepted = acceptanceOf('caution', ['peak_g_m2' => 214.1, 'layer' => 'Board', 'months' => 3]);
    $shape = ['key' => 'a.b@assemblies/w', 'severity' => $severity, 'figures' => $figures, 'accepted' => null];
    $marked = Acceptance::mark([$shape, ['key' => 'c.d@assemblies/w'] + $shape], ['a.b@assemblies/w' => $accepted]);
    expect($marked[0]['accepted']['changed'])
        ->toBe($changed)
        ->and($marked[1]['accepted'])
        ->toBeNull();
})->with([
    'the same' => ['caution', ['months' => 3, 'layer' => 'Board', 'peak_g_m2' => 214.1], false],
    'in the fourth digit' => ['caution', ['peak_g_m2' => 214.4, 'layer' => 'Board', 'months' => 3], false],
    'in the third' => ['caution', ['peak_g_m2' => 216.0, 'layer' => 'Board', 'months' => 3], true],
    'another layer' => ['caution', ['peak_g_m2' => 214.1, 'layer' => 'Wool', 'months' => 3], true],
    'worse' => ['fail', ['peak_g_m2' => 214.1, 'layer' => 'Board', 'months' => 3], true],
]);

it('refuses in a file an acceptance without a reason, a time or the id that follows from its key', function (
    array $part,
    string $pointer,
) {
    $row = [
        'id' => Acceptance::idOf('a.b@assemblies/w'),
        'key' => 'a.b@assemblies/w',
        'reason' => 'so',
        'by' => 'N',
        'at' => '2026-01-01T00:00:00Z',
        'stamp' => 'x',
    ];
    $file = wallFile([[0.25, 10, 12.5]]);
    expect(readProject($file + ['acceptances' => [$row]])->of(Apron\Project\Section\AcceptancesSection::class))
        ->toHaveCount(1)
        ->and(fn () => readProject($file + ['acceptances' => [$part + $row]]))
        ->toThrow(FileRefused::class, "/acceptances/0/$pointer");
})->with([
    [['reason' => ''], 'reason'],
    [['at' => 'yesterday'], 'at'],
    [['id' => 'a1'], 'id'],
]);
