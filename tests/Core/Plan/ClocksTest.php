<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';

it('runs from the evening of the last day to the morning of the cover', function () {
    $told = calendarOf(filmAndBoards('2027-05-03'));
    expect($told['calendar']['clocks'])->toBe([
        [
            'task' => 'film',
            'product' => 'film',
            'limit_days' => 120,
            'exposed_from' => '2027-04-03',
            'cover_by' => '2027-08-01',
            'covered' => '2027-05-03',
            'days_used' => 30,
        ],
    ])->and(calendarSays($told))->toBe([]);
});

it('fails what stands longer than it bears, by a day and not before', function () {
    // 120 days after the 3rd of April is the 1st of August.
    expect(calendarSays(calendarOf(filmAndBoards('2027-08-01'))))
        ->toBe([])
        ->and(calendarSays(calendarOf(filmAndBoards('2027-08-02'))))
        ->toBe(['fail plan.sun-over']);
});

it('counts until today where nothing covers it, and the last to start where several do', function () {
    $alone = ['tasks' => [['id' => 'film', 'title' => 'Film', 'days' => 3, 'product' => 'film']]];
    $open = calendarOf($alone + ['work_days' => [1, 2, 3, 4, 5, 6, 7], 'today' => '2027-04-13'] + [
        'done' => [['task' => 'film', 'from' => '2027-04-01', 'to' => '2027-04-03']],
    ]);
    expect($open['calendar']['clocks'][0])
        ->toMatchArray(['covered' => null, 'days_used' => 10])
        ->and(calendarSays($open))
        ->toBe(['caution plan.never-covered']);
    $unknown = calendarOf($alone);
    expect($unknown['calendar']['clocks'][0]['days_used'])->toBeNull();
    $two = filmAndBoards('2027-04-10');
    $two['tasks'][] = [
        'id' => 'rest',
        'title' => 'Rest',
        'days' => 1,
        'covers' => ['film'],
        'not_before' => '2027-05-01',
    ];
    expect(calendarOf($two)['calendar']['clocks'][0]['covered'])->toBe('2027-05-01');
});

it('warns two weeks before the sun has had its days, of what is open and not of what is to come', function () {
    $done = ['done' => [['task' => 'film', 'from' => '2027-04-01', 'to' => '2027-04-03']]];
    $on = fn (string $today): array => calendarSays(
        calendarOf(filmAndBoards('2027-07-30', $done + ['today' => $today])),
    );
    expect($on('2027-07-17'))
        ->toBe([])
        ->and($on('2027-07-18'))
        ->toBe(['caution plan.sun-soon'])
        // Covered by then.
        ->and(calendarSays(calendarOf(filmAndBoards('2027-04-05', $done + ['today' => '2027-07-20', 'done' => [
            ['task' => 'film', 'from' => '2027-04-01', 'to' => '2027-04-03'],
            ['task' => 'boards', 'from' => '2027-04-05', 'to' => '2027-04-09'],
        ]]))))
        ->toBe([]);
});

it('puts what must be covered soonest first', function () {
    $plan = filmAndBoards('2027-05-03');
    $plan['tasks'][] = ['id' => 'early', 'title' => 'Early', 'days' => 1, 'product' => 'film'];
    expect(array_column(calendarOf($plan)['calendar']['clocks'], 'task'))->toBe(['early', 'film']);
});

it('tells a task that was begun before its turn, and work that went on past a hold point', function () {
    $tasks = [
        ['id' => 'pan', 'title' => 'Pan', 'days' => 1],
        ['id' => 'seen', 'title' => 'Pan seen', 'days' => 1, 'hold' => true, 'after' => [['task' => 'pan']]],
        ['id' => 'unit', 'title' => 'Unit', 'days' => 1, 'after' => [['task' => 'seen']]],
    ];
    $plan = fn (array $done): array => ['tasks' => $tasks, 'today' => '2027-04-07', 'done' => $done];
    $did = fn (string $task, string $day): array => ['task' => $task, 'from' => "2027-04-$day", 'to' => "2027-04-$day"];
    expect(calendarSays(calendarOf($plan([$did('pan', '01'), $did('seen', '02'), $did('unit', '05')]))))
        ->toBe([])
        ->and(calendarSays(calendarOf($plan([$did('pan', '01'), $did('unit', '05')]))))
        ->toBe(['fail plan.hold-passed'])
        ->and(calendarSays(calendarOf($plan([$did('pan', '06'), $did('seen', '02')]))))
        ->toBe(['caution plan.out-of-turn']);
});

it('names a product that the project does not have, and runs no clock for it', function () {
    $told = calendarOf(['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1, 'product' => 'ghost']]]);
    expect($told['calendar']['clocks'])->toBe([])->and(calendarSays($told))->toBe(['caution plan.no-such-product']);
});

it('tells a month in which a product cannot be laid, by the climate of the project', function () {
    $months = array_map(
        fn (int $m): array => ['mean_c' => [-12, -10, -4, 5, 12, 18, 21, 20, 14, 8, 1, -8][$m], 'rh_pct' => 75],
        range(0, 11),
    );
    $in = fn (string $from): array => calendarSays(
        calendarOf(
            [
                'start' => $from,
                'tasks' => [['id' => 'a', 'title' => 'Membrane', 'days' => 2, 'product' => 'membrane-sbs']],
            ],
            ['climate' => ['name' => 'Cold', 'months' => $months]],
        ),
    );
    expect(array_filter($in('2027-01-11'), fn (string $f): bool => str_contains($f, 'plan.season')))
        ->not->toBe([])
        ->and(array_filter($in('2027-07-05'), fn (string $f): bool => str_contains($f, 'plan.season')))
        ->toBe([]);
});

it('reads a plan that no day of was done, with no task at all', function () {
    expect(calendarOf([])['calendar'])->toMatchArray(['finish' => '2027-04-01', 'tasks' => [], 'clocks' => []]);
});
