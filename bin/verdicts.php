<?php

declare(strict_types=1);

// The table of tests/Core/Judgement/verdicts.json beside what Apron says: php bin/verdicts.php [--all] [ID …]; or, with
// --cures, what would clear each finding of it, for a reader.

require dirname(__DIR__).'/vendor/autoload.php';
require dirname(__DIR__).'/tests/Support.php';
require dirname(__DIR__).'/tests/Core/Judgement/Verdicts.php';

if (in_array('--cures', $argv, true)) {
    $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI);
    foreach (Verdicts::cases() as $id => $case) {
        $project = Verdicts::project($case);
        foreach (Verdicts::curable(Verdicts::assessed($case)) as $finding) {
            echo "$id: $finding->code\n";
            $search = new Apron\Cure\CureSearch(
                $project->brief,
                $project->assemblies[0],
                $finding,
                $project->materials,
            );
            foreach ($search->all() as $cure) {
                echo '    '.Apron\Cure\CureSearch::title($cure, $words)."\n";
            }
        }
    }
    exit();
}
$wanted = array_values(array_filter(array_slice($argv, 1), fn (string $word): bool => $word !== '--all'));
$right = $of = 0;
foreach (Verdicts::cases() as $id => $case) {
    if ($wanted !== [] && ! in_array($id, $wanted, true)) {
        continue;
    }
    $assessed = Verdicts::assessed($case);
    $says = Verdicts::verdict($assessed);
    $codes = array_map(fn ($f) => $f->code, $assessed->findings());
    $missing = array_filter(
        $case['says'],
        fn (string $code): bool => array_filter($codes, fn (string $c): bool => str_starts_with($c, $code)) === [],
    );
    $fits = $says === $case['verdict'] && $missing === [];
    [$right, $of] = [$right + ($fits ? 1 : 0), $of + 1];
    if (! $fits || $wanted !== [] || in_array('--all', $argv, true)) {
        printf(
            "%s %s: %s, expected %s %s\n",
            $fits ? ' ' : '×',
            $id,
            $says,
            $case['verdict'],
            implode(' ', $missing),
        );
        foreach ($assessed->findings() as $f) {
            if ($wanted === [] && $f->severity->rank() > 1) {
                continue;
            }
            $figures = array_map(fn ($v) => is_float($v) ? round($v, 2) : $v, $f->figures);
            printf(
                "      %s %s%s %s\n",
                $f->severity->value,
                $f->under === null ? '' : '· ',
                $f->code,
                json_encode($figures, JSON_UNESCAPED_UNICODE),
            );
        }
    }
}
echo "$right of $of as the table has it\n";
