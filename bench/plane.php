<?php

declare(strict_types=1);

// Heat in two dimensions: 200 × 200 nodes of a wall with a steel web, beside SciPy's sparse direct solver on the same
// system in the same run. Needs python3-scipy for that; says so where it is not there.

$root = dirname(__DIR__);
require "$root/vendor/autoload.php";

use Apron\Conduction\ConjugateGradients;

echo "\nHeat in two dimensions: conjugate gradients to 1e-7, from nothing\n";
foreach ([100, 200, 400] as $n) {
    [$sum, $east, $north, $right] = wallOfNodes($n);
    $times = [];
    foreach ([1, 2, 3, 4, 5] as $_) {
        $from = hrtime(true);
        $solver = new ConjugateGradients($sum, $east, $north, $n);
        $solved = $solver->solve($right, array_fill(0, $n * $n, 0.0), 1e-7);
        $times[] = (hrtime(true) - $from) / 1e6;
    }
    sort($times);
    printf("%-66s median %8.0f ms   %d steps\n", number_format($n * $n).' nodes', $times[2], $solver->steps);
    $python = "/usr/bin/python3 $root/bench/plane.py $n 2>/dev/null";
    $said = json_decode((string) shell_exec($python), true);
    if (! is_array($said)) {
        echo "  SciPy is not here (apt-get install python3-scipy): nothing to set it beside.\n";

        continue;
    }
    foreach ($said['ms'] as $how => $ms) {
        printf("%-66s median %8.0f ms   differs by %.1e K\n", "  SciPy, $how", $ms, max(array_map(
            fn (int $i): float => abs($said['at'][$i] - $solved[(int) $said['nodes'][$i]]),
            array_keys($said['at']),
        )));
    }
}

/** @return array{list<float>, list<float>, list<float>, list<float>} sum, east, north and right of a system */
function wallOfNodes(int $n): array
{
    $east = $north = $right = array_fill(0, $n * $n, 0.0);
    for ($j = 0; $j < $n - 1; $j++) {
        for ($i = 0; $i < $n - 1; $i++) {
            $steel = $i > 0.45 * $n && $i < 0.48 * $n;
            $half = 0.5 * ($steel ? 50.0 : ($j < 0.2 * $n ? 1.15 : 0.035));
            $at = $j * $n + $i;
            $east[$at] += $half;
            $east[$at + $n] += $half;
            $north[$at] += $half;
            $north[$at + 1] += $half;
        }
    }
    $sum = $right;
    for ($at = 0; $at < $n * $n; $at++) {
        $sum[$at] = $east[$at] + $north[$at] + ($east[$at - 1] ?? 0) + ($north[$at - $n] ?? 0);
    }
    for ($i = 0; $i < $n; $i++) {
        $sum[$i] += 8.0 / $n;
        $right[$i] += 160.0 / $n;
        $sum[($n - 1) * $n + $i] += 24.0 / $n;
    }

    return [$sum, $east, $north, $right];
}
