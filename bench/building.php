<?php

declare(strict_types=1);

// A campus of blocks of many heights, side by side: parts and joints derived, four threads followed. Beside it, so that
// machines can be told apart, the area of every pair of outlines by MariaDB's kind of arithmetic in plain PHP: the
// shoelace formula over the same corners, as often as there are joints.

use Apron\Building\Block;
use Apron\Building\Building;
use Apron\Building\Claim;
use Apron\Building\Connection;
use Apron\Building\Envelope;
use Apron\Building\HandedOver;
use Apron\Building\JointKind;
use Apron\Building\Outline;
use Apron\Building\Threads;

require __DIR__.'/../vendor/autoload.php';

/** A row of blocks n long and n deep, each of its own height. */
$campus = function (int $n): Building {
    $blocks = [];
    for ($i = 0; $i < $n; $i++) {
        for ($j = 0; $j < $n; $j++) {
            [$x, $y] = [10000.0 * $i, 8000.0 * $j];
            $corners = [[$x, $y], [$x + 10000, $y], [$x + 10000, $y + 8000], [$x, $y + 8000]];
            $top = 3000.0 + 500 * (($i * 7 + $j * 3) % 11);
            $blocks[] = new Block("b$i-$j", new Outline($corners), 0.0, $top, wall: 'w1', roof: 'r1', slab: 'f1');
        }
    }

    return new Building(
        $blocks,
        connections: [new Connection(null, JointKind::Parapet, null, null, ['air' => new Claim(HandedOver::Tape)])],
    );
};
printf("%-44s %8s %8s %8s\n", 'ms', 'parts', 'joints', 'median');
foreach ([2, 4, 6, 8] as $n) {
    $building = $campus($n);
    $times = [];
    for ($k = 0; $k < 5; $k++) {
        $began = hrtime(true);
        $envelope = new Envelope($building);
        $threads = new Threads($envelope, [], [], true);
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);
    printf(
        "%-44s %8d %8d %8.1f\n",
        "$n × $n blocks",
        count($envelope->parts),
        count($envelope->joints),
        $times[2],
    );
}
$began = hrtime(true);
for ($k = 0; $k < 1500; $k++) {
    foreach ($building->blocks as $block) {
        Outline::signed($block->outline->corners);
    }
}
printf("%-44s %26.1f\n", '1,500 times the shoelace over all of them', (hrtime(true) - $began) / 1e6);
