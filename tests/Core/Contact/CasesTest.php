<?php

declare(strict_types=1);

use Apron\Contact\Resolver;

require_once __DIR__.'/Untested.php';

/** @return array<string, list<array<string, mixed>>> the cases, each by what it is */
function contactCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/cases.json'), true)['cases'];
    $named = [];
    foreach ($cases as $i => $case) {
        $named["{$case['a']} {$case['how']} {$case['b']} $i"] = [$case];
    }

    return $named;
}

it('says of a pair what its case says', function (array $case) {
    $touch = touchOf($case);
    $judged = Resolver::judge($touch);
    expect($judged->verdict->value)->toBe($case['verdict'], "{$case['why']}; it said: $judged->rule, $judged->why");
})->with(contactCases(...));

it('holds good pairs enough, and at least a hundred and twenty in all', function () {
    $verdicts = array_map(fn (array $case): string => $case[0]['verdict'], array_values(contactCases()));
    $good = array_filter($verdicts, fn (string $v): bool => in_array($v, ['bonds', 'not needed'], true));
    expect(count($verdicts))
        ->toBeGreaterThanOrEqual(120)
        ->and(count($good) / count($verdicts))
        ->toBeGreaterThan(1 / 3);
});

it('names every rule that no case would miss', function () {
    $page = (string) file_get_contents(dirname(__DIR__, 3).'/docs/contacts-untested.md');
    expect($page)
        ->toBe(Untested::page(), 'php bin/untested-rules.php')
        ->and(count(Untested::missed()))
        ->toBeGreaterThan(150);
});
