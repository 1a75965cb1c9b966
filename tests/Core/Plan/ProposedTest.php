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
        ['hall.w1.2', 3, false, ['hall.w1.1']],
        ['hall.w1.dressed', 2, false, []],
        ['hall.w1.seen', 1, true, []],
        ['hall.w1.set', 1, false, []],
        ['hall.w1.3', 3, false, ['hall.w1.2']],
    ]);
    $schedule = new Schedule($plan);
    $days = fn (string $id): array => [
        Day::written($schedule->planned[$id]->from),
        Day::written($schedule->planned[$id]->to),
    ];
    expect($days('hall.w1.1'))
        ->toBe(['2027-04-01', '2027-04-02'])
        ->and($days('hall.w1.2'))
        ->toBe(['2027-04-05', '2027-04-07'])
        ->and($days('hall.w1.set'))
        ->toBe(['2027-04-13', '2027-04-13'])
        ->and($days('hall.w1.3'))
        ->toBe(['2027-04-14', '2027-04-16']);
});
