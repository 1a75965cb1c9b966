<?php

declare(strict_types=1);

// What each rule of an assembly costs, over the assemblies of the table of verdicts: microseconds an assembly, beside
// the figures that all of them are said of.

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rules;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/../tests/Support.php';
require __DIR__.'/../tests/Core/Judgement/Verdicts.php';

const TURNS = 20;

$projects = array_map(Verdicts::project(...), Verdicts::cases());
$costs = [];
for ($turn = 0; $turn < TURNS; $turn++) {
    $began = hrtime(true);
    $all = array_map(fn ($p) => new AssemblyAssessment($p->brief, $p->assemblies[0]), $projects);
    $costs['the figures'] = ($costs['the figures'] ?? 0) + hrtime(true) - $began;
    $began = hrtime(true);
    foreach ($all as $assessed) {
        $assessed->gatherings();
    }
    $costs['zones of water'] = ($costs['zones of water'] ?? 0) + hrtime(true) - $began;
    foreach (Rules::all() as $rule) {
        $name = substr($rule::class, strrpos($rule::class, '\\') + 1);
        $began = hrtime(true);
        foreach ($all as $assessed) {
            $rule->findings($assessed);
        }
        $costs[$name] = ($costs[$name] ?? 0) + hrtime(true) - $began;
    }
}
arsort($costs);
foreach ($costs as $name => $nanoseconds) {
    printf("%-28s %7.1f µs\n", $name, $nanoseconds / 1000 / TURNS / count($projects));
}
