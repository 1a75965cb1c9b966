<?php

declare(strict_types=1);

// The table of tests/Core/Judgement/verdicts.json beside what Apron says: php bin/verdicts.php [--all] [ID …]

require dirname(__DIR__).'/vendor/autoload.php';
require dirname(__DIR__).'/tests/Support.php';
require dirname(__DIR__).'/tests/Core/Judgement/Verdicts.php';

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
        printf("%s %s: %s, expected %s %s\n", $fits ? ' ' : '×', $id, $says, $case['verdict'], implode(' ', $missing));
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
