<?php

declare(strict_types=1);

// Plans of many tasks: scheduled forward and back, their clocks. Beside it, so that machines can be told apart, as many
// dates put through PHP's own calendar.

use Apron\Plan\Clocks;
use Apron\Plan\Day;
use Apron\Plan\Plan;
use Apron\Plan\Schedule;
use Apron\Plan\Task;
use Apron\Plan\Wait;

require __DIR__.'/../vendor/autoload.php';

printf("%-44s %8s\n", 'ms', 'median');
foreach ([250, 500, 1000, 2000, 4000] as $count) {
    mt_srand(1);
    $tasks = [];
    for ($i = 0; $i < $count; $i++) {
        $after = [];
        for ($j = mt_rand(0, min(3, $i)); $j > 0; $j--) {
            $hours = [0.0, 12.0, 24.0][mt_rand(0, 2)];
            $after[] = new Wait('t'.mt_rand(max(0, $i - 40), $i - 1), mt_rand(0, 4) === 0, $hours);
        }
        $product = mt_rand(0, 2) === 0 ? 'film' : null;
        $covers = $i > 0 && mt_rand(0, 1) === 1 ? ['t'.($i - 1)] : [];
        $tasks[] = new Task("t$i", "T$i", mt_rand(1, 4), $after, null, $product, $covers);
    }
    $times = [];
    for ($k = 0; $k < 5; $k++) {
        $began = hrtime(true);
        $plan = new Plan((int) Day::of('2027-04-01'), [1, 2, 3, 4, 5], [], $tasks);
        $schedule = new Schedule($plan);
        Clocks::of($plan, $schedule, ['film' => 90.0]);
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);
    printf("%-44s %8.1f\n", "$count tasks, done by ".Day::written($schedule->finish), $times[2]);
}
$began = hrtime(true);
for ($i = 0; $i < 2000; $i++) {
    (new DateTimeImmutable('2027-04-01'))->modify("+$i weekdays");
}
printf("%-44s %8.1f\n", '2,000 dates by PHP’s own weekdays', (hrtime(true) - $began) / 1e6);
