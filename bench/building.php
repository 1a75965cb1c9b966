<?php

declare(strict_types=1);

// A campus of blocks of many heights, side by side: parts and joints derived, four threads followed. Beside it, so that
// machines can be told apart, the area of every pair of outlines by MariaDB's kind of arithmetic in plain PHP: the
// shoelace formula over the same corners, as often as there are joints.

use Apron\Building\Block;
use Apron\Building\Building;
use Apron\Building\BuildingAssessment;
use Apron\Building\Claim;
use Apron\Building\Connection;
use Apron\Building\Envelope;
use Apron\Building\HandedOver;
use Apron\Building\JointKind;
use Apron\Building\Outline;
use Apron\Building\Placed;
use Apron\Building\Threads;

require __DIR__.'/../vendor/autoload.php';

/** Blocks n long and m deep, each of its own height. */
$campus = function (int $n, int $m): Building {
    $blocks = [];
    for ($i = 0; $i < $n; $i++) {
        for ($j = 0; $j < $m; $j++) {
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
/** A row of them with windows in both long sides, and pipes through these. */
$dressed = function (int $n, int $windows, int $pipes) use ($campus): array {
    $bare = $campus($n, 1);
    $placed = $sizes = [];
    foreach ($bare->blocks as $block) {
        foreach ([0, 2] as $edge) {
            for ($i = 0; $i < $windows; $i++) {
                $sizes["w$i"] = [900.0, 900.0];
                $placed[] = new Placed("w$i", true, $block->id, $edge, 200.0 + 1080 * $i, 1000.0);
            }
            $placed[] = new Placed('pipe', false, $block->id, $edge, 9800.0, 300.0, $pipes);
        }
    }

    return [new Building($bare->blocks, placed: $placed, connections: $bare->connections), $sizes];
};
printf("%-44s %8s %8s %8s %8s\n", 'ms', 'parts', 'joints', 'threads', 'all told');
foreach ([[2, 0, 0], [4, 0, 0], [6, 0, 0], [8, 0, 0], [12, 9, 24]] as [$n, $windows, $pipes]) {
    [$building, $sizes] = $windows > 0 ? $dressed($n, $windows, $pipes) : [$campus($n, $n), []];
    $times = $told = [];
    for ($k = 0; $k < 5; $k++) {
        $began = hrtime(true);
        $envelope = new Envelope($building, $sizes);
        new Threads($envelope, [], [], true);
        $times[] = (hrtime(true) - $began) / 1e6;
        $began = hrtime(true);
        (new BuildingAssessment($envelope, [], [], true))->toArray();
        $told[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);
    sort($told);
    printf(
        "%-44s %8d %8d %8.1f %8.1f\n",
        $windows > 0 ? "row of $n, $windows windows, $pipes pipes a side" : "$n × $n blocks",
        count($envelope->parts),
        count($envelope->joints),
        $times[2],
        $told[2],
    );
}
$began = hrtime(true);
for ($k = 0; $k < 1500; $k++) {
    foreach ($building->blocks as $block) {
        Outline::signed($block->outline->corners);
    }
}
printf("%-44s %26.1f\n", '1,500 times the shoelace over all of them', (hrtime(true) - $began) / 1e6);
