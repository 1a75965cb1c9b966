<?php

declare(strict_types=1);

use Apron\Building\Envelope;
use Apron\Plan\Day;
use Apron\Plan\Proposed;
use Apron\Plan\Schedule;
use Apron\Plan\Task;
use Apron\Project\Assessment;

require_once __DIR__.'/../Building/Boxes.php';

it('plans the walls of a building layer after layer, openings seen and set before what lies over the plane', function () {
    $place = fn (int $x): array => ['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => $x, 'z_mm' => 900];
    $file = boxFile(
        ['placed' => array_map($place, [500, 2000, 3500, 5000, 6500])],
        [],
        ['openings' => [windowRow('o1')]],
    );
    $project = readProject($file);
    $envelope = (new Assessment($project))->building->envelope;
    expect($envelope)->toBeInstanceOf(Envelope::class);
    $plan = Proposed::of($envelope, array_column($project->assemblies, null, 'id'), (int) Day::of('2027-04-01'));
    // 120 m² of wall, 5.4 of it windows: gypsum at 80 a day, membrane at 45, board at 50; five openings.
    expect(array_map(fn (Task $t): array => [$t->id, $t->days, $t->isHold, $t->covers], $plan->given))->toBe([
        ['hall.w1.1', 2, false, []],
        ['hall.w1.ready', 1, true, []],
        ['hall.w1.2', 3, false, ['hall.w1.1']],
        ['hall.w1.dressed', 2, false, []],
        ['hall.w1.seen', 1, true, []],
        ['hall.w1.set', 1, false, []],
        ['hall.w1.3', 3, false, ['hall.w1.2']],
        // The roof on its deck: a membrane that sticks, then boards over it.
        ['hall.r1.1', 2, false, []],
        ['hall.r1.ready', 1, true, []],
        ['hall.r1.2', 3, false, ['hall.r1.1']],
        ['hall.r1.3', 2, false, ['hall.r1.2']],
    ]);
    $schedule = new Schedule($plan);
    $days = fn (string $id): array => [
        Day::written($schedule->planned[$id]->from),
        Day::written($schedule->planned[$id]->to),
    ];
    expect($days('hall.w1.1'))
        ->toBe(['2027-04-01', '2027-04-02'])
        ->and($days('hall.w1.2'))
        ->toBe(['2027-04-06', '2027-04-08'])
        ->and($days('hall.w1.set'))
        ->toBe(['2027-04-14', '2027-04-14'])
        ->and($days('hall.w1.3'))
        ->toBe(['2027-04-15', '2027-04-19']);
});

it('splits openings at the step that sets the unit, waits for what cures, and has a foundation seen', function () {
    $file = boxFile(
        ['placed' => [['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 500, 'z_mm' => 900]]],
        ['base_mm' => -2000, 'top_mm' => 4000, 'foundation' => 'b1'],
        ['openings' => [windowRow('o1')]],
    );
    $file['assemblies'][0]['layers'][2]['material'] = 'fluid-permeable';
    $file['assemblies'][] = ['id' => 'b1', 'name' => 'B', 'kind' => 'foundation', 'layers' => [
        ['id' => 'c', 'material' => 'concrete', 'thickness_mm' => 200],
        ['id' => 'm', 'material' => 'membrane-sbs', 'thickness_mm' => 1.2, 'controls' => ['water', 'air']],
        ['id' => 'x', 'material' => 'xps', 'thickness_mm' => 100],
    ]];
    $project = readProject($file);
    $details = array_column($project->details, null, 'id');
    $envelope = (new Assessment($project))->building->envelope;
    $assemblies = array_column($project->assemblies, null, 'id');
    $tasks = Proposed::of($envelope, $assemblies, 0, $details)->tasks;
    $sets = array_values(array_filter(
        $details['o1']->pieces,
        fn ($piece): bool => $piece->kind === Apron\Detail\PieceKind::Unit,
    ))[0]->step;
    expect($tasks['hall.w1.dressed']->steps)
        ->toBe([1, $sets - 1])
        ->and($tasks['hall.w1.set']->steps)
        ->toBe([$sets, max(array_column($details['o1']->steps, 'number'))])
        ->and($tasks['hall.w1.dressed']->details)
        ->toBe(['o1'])
        ->and($tasks['hall.w1.dressed']->after[0]->until)
        ->toBe(Apron\Plan\Cures::Cure)
        ->and($tasks['hall.b1.seen']->isHold)
        ->toBeTrue()
        ->and($tasks['hall.b1.2']->after[0]->task)
        ->toBe('hall.b1.seen')
        ->and($tasks['hall.b1.filled']->covers)
        ->toBe(['hall.b1.2']);
    // Twice the hands, half the days.
    $six = Proposed::of($envelope, $assemblies, 0, $details, 6)->tasks;
    expect($six['hall.w1.3']->days)->toBe((int) ceil($tasks['hall.w1.3']->days / 2));
});
