<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';

/** @return array<string, mixed> a walk that somebody took on a day, and what was seen */
function walked(string $check, string $on, bool $holds = true): array
{
    $said = ['visit' => 'v', 'by' => 'I. Inspector', 'at' => "{$on}T10:00:00Z"];

    return ['id' => "r-$on", 'kind' => 'reading', 'check' => $check, 'holds' => $holds] + $said;
}

/** @return list<string> what is said of walks of a film that lies open from the evening of the 3rd of April */
function walksSay(?string $today, array $readings, string $covered = '2027-05-03'): array
{
    $site = ['site' => ['events' => [
        ['id' => 'v', 'kind' => 'visit', 'visit' => 'v', 'by' => 'I. Inspector', 'at' => '2027-04-03T08:00:00Z'],
        ...$readings,
    ]]];
    $stands = ['done' => [['task' => 'film', 'from' => '2027-04-01', 'to' => '2027-04-03']]] +
        ($today === null ? [] : ['today' => $today]);
    $told = calendarOf(filmAndBoards($covered, $stands), $site);

    return array_values(array_filter(calendarSays($told), fn (string $said): bool => str_contains($said, 'site.')));
}

const WALK = 'plan.damage-walk.-e3b0c4';

dataset('walks', [
    // why => [today, walks, covered on, what is said]
    'none was due yet: a week from the evening of the 3rd is the 10th, and that day is long enough' => ['2027-04-10', [], '2027-05-03', []],
    'the day after, nobody has been' => ['2027-04-11', [], '2027-05-03', ['caution site.walk-missed']],
    'a walk begins the week anew' => ['2027-04-15', [walked(WALK, '2027-04-09')], '2027-05-03', []],
    'and another was due on the 16th' => [
        '2027-04-17', [walked(WALK, '2027-04-09')], '2027-05-03',
        ['caution site.walk-missed'],
    ],
    'what was damaged then and mended since is told by the last walk' => [
        '2027-04-17', [walked(WALK, '2027-04-09', false), walked(WALK, '2027-04-16')], '2027-05-03',
        [],
    ],
    'what was damaged at the last walk is' => [
        '2027-04-17', [walked(WALK, '2027-04-09'), walked(WALK, '2027-04-16', false)], '2027-05-03',
        ['fail site.look-fails'],
    ],
    'a film that is covered by now is walked no more' => ['2027-05-20', [], '2027-05-03', []],
    'no day is known that the plan stands at' => [null, [], '2027-05-03', []],
    'covered within the week: looked at when it is covered' => ['2027-04-09', [], '2027-04-10', []],
]);

it('says when a walk along what stands open was missed, and what the last one saw', function (
    ?string $today,
    array $readings,
    string $covered,
    array $said,
) {
    expect(walksSay($today, $readings, $covered))->toBe($said);
})->with('walks');

it('walks each area from the first that is laid bare to the last that is covered, and for ever where none is', function () {
    $week = ['work_days' => [1, 2, 3, 4, 5, 6, 7]];
    $told = fn (array $tasks): array => calendarOf($week + ['tasks' => $tasks])['calendar'];
    $film = fn (string $id, string $area): array => [
        'id' => $id, 'title' => $id, 'days' => 3, 'product' => 'film', 'area' => $area,
    ];
    $cover = fn (string $of, string $on): array => [
        'id' => "over-$of", 'title' => 'Boards', 'days' => 1, 'covers' => [$of], 'not_before' => $on,
    ];
    $walks = $told([
        ['not_before' => '2027-04-05'] + $film('a', 'north'),
        $film('b', 'north'),
        $film('c', 'south'),
        $cover('a', '2027-04-20'),
        $cover('b', '2027-05-01'),
    ])['walks'];
    expect($walks)->toBe([
        ['from' => '2027-04-03', 'to' => '2027-05-01', 'area' => 'north', 'every_days' => 7],
        ['from' => '2027-04-03', 'to' => null, 'area' => 'south', 'every_days' => 7],
    ]);
});
