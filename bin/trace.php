<?php

declare(strict_types=1);

// ./apron trace FILE : the paths that water takes on the details of a file, in words, by the core alone.

require __DIR__.'/lib/guard.php';

use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;
use Apron\Quantity\Display;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;

[$path, $only] = [$argv[1] ?? null, $argv[2] ?? null];
if ($path === null) {
    fwrite(STDERR, "usage: ./apron trace FILE [DETAIL]     FILE may be - for standard input\n");
    exit(2);
}
guarded($path, function () use ($path, $only): int {
    $json =
        $path === '-'
            ? stream_get_contents(STDIN)
            : (is_file($path) && is_readable($path)
                ? file_get_contents($path)
                : false);
    if ($json === false) {
        throw new FileRefused('', "no readable file “{$path}”", 'the path of a project file, or - for standard input');
    }
    $project = ProjectFormat::parse($json, new Catalogue);
    $words = new Words($project->brief->units);
    $show = new Display($project->brief->units);
    $fails = false;
    foreach ($project->details as $detail) {
        if ($only !== null && $detail->id !== $only) {
            continue;
        }
        $assessed = new DetailAssessment($detail, Apron\Trace\School::of($project->brief->schools));
        $fails = $fails || $assessed->severity()->value === 'fail';
        echo "{$detail->id} · {$detail->title}: {$assessed->worst()->told()}\n";
        foreach ($assessed->strips as $strip) {
            printf(
                "\n  %s, %s, %s to %s: %s (%s)%s\n",
                $words->listed('release', $strip->source),
                $words->listed('facet', $strip->facet),
                $show->figure('u_mm', $strip->u0),
                $show->figure('u_mm', $strip->u1),
                $strip->outcome->told(),
                $strip->severity->value,
                $strip->lines > 0 ? ", lines of defence $strip->lines" : '',
            );
            foreach (DetailAssessment::path($strip->told(), $words) as $step) {
                echo "    it $step\n";
            }
        }
        echo "\n";
    }
    echo "Water is followed straight down: wind, wicking and what runs sideways are outside of it. Computed, not approved.\n";

    return $fails ? 1 : 0;
});
