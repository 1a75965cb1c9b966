<?php

declare(strict_types=1);

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Plan\Day;
use Apron\Plan\Done;
use Apron\Plan\Plan;
use Apron\Plan\PlanFormat;
use Apron\Plan\Schedule;
use Apron\Plan\Task;
use Apron\Plan\Wait;

/** @return array<string, array{array<string, mixed>}> */
function schedules(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/schedules.json'), true)['cases'];

    return array_combine(array_column($cases, 'id'), array_map(fn (array $case): array => [$case], $cases));
}

function planOf(array $plan): Plan
{
    return PlanFormat::read(Node::of($plan));
}

it('plans as it is reckoned on a wall calendar', function (array $case) {
    $schedule = new Schedule(planOf($case['plan']));
    $found = [];
    foreach ($schedule->planned as $id => $task) {
        $found[$id] = [Day::written($task->from), Day::written($task->to), $task->float, $task->isCritical()];
    }
    expect($found)->toBe($case['tasks'], $case['why'])->and(Day::written($schedule->finish))->toBe($case['finish']);
})->with(schedules(...));

/** A plan of so many tasks with waits of both kinds, some of it done. */
function anyPlan(int $seed, int $count): Plan
{
    mt_srand($seed);
    $start = (int) Day::of('2027-04-01');
    $tasks = [];
    for ($i = 0; $i < $count; $i++) {
        $after = [];
        for ($j = mt_rand(0, min(3, $i)); $j > 0; $j--) {
            $task = 't'.mt_rand(max(0, $i - 6), $i - 1);
            $after[$task] = new Wait($task, mt_rand(0, 4) === 0, [0.0, 0.0, 12.0, 24.0, 36.0, 72.0][mt_rand(0, 5)]);
        }
        $notBefore = mt_rand(0, 9) === 0 ? $start + mt_rand(0, 30) : null;
        $tasks[] = new Task("t$i", "T$i", mt_rand(1, 6), array_values($after), notBefore: $notBefore);
    }
    $holidays = [$start + mt_rand(3, 20), $start + mt_rand(21, 40)];
    $done = mt_rand(0, 1) === 1 ? [new Done('t0', $start, $start + 1)] : [];

    return new Plan($start, [[1, 2, 3, 4, 5], [1, 2, 3, 4, 5, 6]][mt_rand(0, 1)], $holidays, $tasks, $done, $start + 2);
}

/** The same with one task held back until a day. */
function heldBack(Plan $plan, string $id, int $until): Plan
{
    $tasks = array_map(
        fn (Task $t): Task => $t->id === $id
            ? new Task($t->id, $t->title, $t->days, $t->after, notBefore: max($until, $t->notBefore ?? $until))
            : $t,
        $plan->given,
    );

    return new Plan($plan->start, $plan->weekDays, $plan->holidays, $tasks, array_values($plan->done), $plan->today);
}

it('lets a start slip by its float and not a working day more, all else planned again', function (int $seed) {
    $plan = anyPlan($seed, 14);
    $schedule = new Schedule($plan);
    $days = $plan->days();
    foreach ($schedule->planned as $id => $planned) {
        if ($planned->isDone) {
            continue;
        }
        $slipped = $planned->from;
        for ($n = 0; $n < $planned->float; $n++) {
            $slipped = $days->from($slipped + 1);
        }
        expect((new Schedule(heldBack($plan, $id, $slipped)))->finish)->toBe($schedule->finish, "$id of $seed");
        $more = (new Schedule(heldBack($plan, $id, $days->from($slipped + 1))))->finish;
        expect($more)->toBeGreaterThan($schedule->finish, "$id of $seed, a day more");
    }
})->with(range(1, 60));

it('begins nothing before what it waits for, on no day that is not worked, and ends with its critical path', function (
    int $seed,
) {
    $plan = anyPlan($seed, 40);
    $schedule = new Schedule($plan);
    $days = $plan->days();
    foreach ($schedule->planned as $planned) {
        if ($planned->isDone) {
            continue;
        }
        expect($days->isWorked($planned->from) && $days->isWorked($planned->to))
            ->toBeTrue()
            ->and($days->between($planned->from - 1, $planned->to))
            ->toBe($planned->task->days);
        foreach ($planned->task->after as $wait) {
            $before = $schedule->planned[$wait->task];
            // In hours of the calendar: from its last evening, or its first morning.
            $free = $wait->fromStart ? $before->from * 24 : ($before->to + 1) * 24;
            $hours = ! $wait->fromStart && $wait->hours <= 12 ? 0 : $wait->hours;
            expect($planned->from * 24)->toBeGreaterThanOrEqual($free + $hours);
        }
    }
    $critical = array_filter($schedule->planned, fn ($p): bool => $p->isCritical());
    expect(max(array_map(fn ($p): int => $p->to, $critical)))->toBe($schedule->finish);
})->with(range(101, 125));

it('refuses what is no plan, at its place', function (array $plan, string $pointer) {
    $usual = ['start' => '2027-04-01', 'tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1]]];
    try {
        planOf($plan + $usual);
        expect(false)->toBeTrue('it was read');
    } catch (FileRefused $refused) {
        expect($refused->pointer)->toBe($pointer);
    }
})->with([
    'no such date' => [['start' => '2027-02-30'], '/start'],
    'a date that is none' => [['start' => 'soon'], '/start'],
    'no day is worked' => [['work_days' => []], '/work_days'],
    'an eighth day' => [['work_days' => [8]], '/work_days/0'],
    'a day twice' => [['work_days' => [1, 1]], '/work_days'],
    'no such task' => [
        ['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1, 'after' => [['task' => 'z']]]]],
        '/tasks/0/after/0/task',
    ],
    'waits for itself' => [
        ['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1, 'after' => [['task' => 'a']]]]],
        '/tasks/0/after',
    ],
    'a ring' => [
        [
            'tasks' => [
                ['id' => 'a', 'title' => 'A', 'days' => 1],
                ['id' => 'b', 'title' => 'B', 'days' => 1, 'after' => [['task' => 'c']]],
                ['id' => 'c', 'title' => 'C', 'days' => 1, 'after' => [['task' => 'b'], ['task' => 'a']]],
            ],
        ],
        '/tasks/1/after',
    ],
    'an id twice' => [
        ['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1], ['id' => 'a', 'title' => 'B', 'days' => 1]]],
        '/tasks/1/id',
    ],
    'no days' => [['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 0]]], '/tasks/0/days'],
    'half a day' => [['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1.5]]], '/tasks/0/days'],
    'covers nothing there is' => [
        ['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1, 'covers' => ['z']]]],
        '/tasks/0/covers/0',
    ],
    'covers itself' => [
        ['tasks' => [['id' => 'a', 'title' => 'A', 'days' => 1, 'covers' => ['a']]]],
        '/tasks/0/covers/0',
    ],
    'ends before it begins' => [
        ['done' => [['task' => 'a', 'from' => '2027-04-03', 'to' => '2027-04-02']]],
        '/done/0/to',
    ],
    'done that is no task' => [['done' => [['task' => 'z', 'from' => '2027-04-03']]], '/done/0/task'],
    'done twice' => [
        ['done' => [['task' => 'a', 'from' => '2027-04-03'], ['task' => 'a', 'from' => '2027-04-04']]],
        '/done/1/task',
    ],
    'a negative wait' => [
        [
            'tasks' => [
                ['id' => 'a', 'title' => 'A', 'days' => 1],
                ['id' => 'b', 'title' => 'B', 'days' => 1, 'after' => [['task' => 'a', 'wait_h' => -1]]],
            ],
        ],
        '/tasks/1/after/0/wait_h',
    ],
]);

it('writes a plan as it was read', function (array $case) {
    $plan = planOf($case['plan']);
    expect(json_decode(json_encode(PlanFormat::write($plan)), true))->toEqual($case['plan']);
})->with(schedules(...));
