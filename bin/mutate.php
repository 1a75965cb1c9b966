<?php

declare(strict_types=1);

// Mutation run on the rain trace and the checks of a detail: one small change at a time to core/src/Trace, the tests of
// tests/Core/Trace and tests/Core/Detail against it. Prints the changes that no test noticed, and the share that was
// noticed.
//
//   php bin/mutate.php [--part=1/4] [--again=LOG] [--since=COMMIT] [FILE …]     in a clean clone: files are changed in
// place and put back
//
// `--again` tries only what a run before has printed as survived, after tests have been added; `--since` only lines
// written since a commit.
//
// A mutant listed in docs/mutants.json, by file, line's text and change, is one that was looked at and is left, with
// the reason.

const CHANGES = [
    '/===/' => '!==',
    '/!==/' => '===',
    '/ < /' => ' <= ',
    '/ > /' => ' >= ',
    '/ <= /' => ' < ',
    '/ >= /' => ' > ',
    '/&&/' => '||',
    '/\|\|/' => '&&',
    '/\btrue\b/' => 'false',
    '/\bfalse\b/' => 'true',
    '/ \+ 1\b/' => ' - 1',
    '/ - 1\b/' => ' + 1',
    '/\bmax\(/' => 'min(',
    '/\bmin\(/' => 'max(',
    '/if \(! /' => 'if (',
    '/\bcontinue;/' => 'break;',
    '/Severity::Fail\b/' => 'Severity::Note',
    '/Severity::Caution\b/' => 'Severity::Pass',
    '/Edge::Open\b/' => 'Edge::Sealed',
    '/Edge::Adhered\b/' => 'Edge::Sealed',
];

chdir(dirname(__DIR__));
$part = [1, 1];
$again = $since = null;
$names = [];
foreach (array_slice($argv, 1) as $word) {
    if (preg_match('~^--part=(\d+)/(\d+)$~', $word, $m) === 1) {
        $part = [(int) $m[1], (int) $m[2]];
    } elseif (str_starts_with($word, '--again=')) {
        $again = (string) file_get_contents(substr($word, 8));
    } elseif (str_starts_with($word, '--since=')) {
        $since = substr($word, 8);
    } else {
        $names[] = $word;
    }
}
/** @var list<array{file: string, line: string, change: string, why: string}> $left */
$left = is_file('docs/mutants.json')
    ? json_decode((string) file_get_contents('docs/mutants.json'), true, 8, JSON_THROW_ON_ERROR)
    : [];
$known = array_map(fn (array $row): string => "{$row['file']}|{$row['line']}|{$row['change']}", $left);

$sites = [];
foreach (
    [
        ...glob('core/src/Trace/*.php') ?: [],
        ...glob('core/src/Trace/Check/*.php') ?: [],
        'core/src/Detail/Layout.php',
        'core/src/Detail/Laid.php',
    ] as $file
) {
    if ($names !== [] && ! in_array(basename($file), $names, true)) {
        continue;
    }
    $written = [];
    if ($since !== null) {
        preg_match_all(
            '~^@@ -\S+ \+(\d+)(?:,(\d+))? @@~m',
            (string) shell_exec('git diff -U0 '.escapeshellarg($since).' -- '.escapeshellarg($file)),
            $hunks,
            PREG_SET_ORDER,
        );
        foreach ($hunks as $hunk) {
            $written += array_fill_keys(range((int) $hunk[1], (int) $hunk[1] + (int) ($hunk[2] ?? 1) - 1), true);
        }
    }
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
        if ($since !== null && ! isset($written[$n + 1])) {
            continue;
        }
        if (preg_match('~^\s*(\*|/|use |namespace |throw |declare)~', $line) === 1) {
            continue;
        }
        foreach (CHANGES as $pattern => $to) {
            preg_match_all($pattern, $line, $found, PREG_OFFSET_CAPTURE);
            foreach ($found[0] as [$from, $at]) {
                // A strict comparison of like things, and the mark of a set whose keys are its members, are what they
                // are either way.
                if (preg_match('~(, true\)|\] = true;)$~', substr($line, 0, $at + strlen($from) + 1)) === 1) {
                    continue;
                }
                $told =
                    basename($file).
                    ':'.
                    ($n + 1).
                    '  '.
                    trim($line).
                    '   ['.
                    trim($from).
                    ' → '.
                    trim($to).
                    ' at '.
                    $at.
                    ']';
                if ($again === null || str_contains($again, substr($told, (int) strpos($told, '  ')))) {
                    $sites[] = [$file, $n, $at, $from, $to];
                }
            }
        }
    }
}
$sites = array_values(array_filter($sites, fn (int $i): bool => $i % $part[1] === $part[0] - 1, ARRAY_FILTER_USE_KEY));

$survived = 0;
$named = 0;
foreach ($sites as $i => [$file, $n, $at, $from, $to]) {
    $source = (string) file_get_contents($file);
    register_shutdown_function(fn () => file_put_contents($file, $source));
    $lines = explode("\n", $source);
    $before = $lines[$n];
    $lines[$n] = substr($before, 0, $at).$to.substr($before, $at + strlen($from));
    file_put_contents($file, implode("\n", $lines));
    $passed = true;
    foreach (
        [
            'tests/Core/Trace/TraceTest.php',
            'tests/Core/Trace/TwoPlanesTest.php tests/Core/Trace/GapsTest.php tests/Core/Trace/FindingsTest.php tests/Core/Trace/LapsTest.php tests/Core/Detail/LayoutTest.php tests/Core/Trace/AirLineTest.php tests/Core/Trace/BehindTest.php tests/Core/Trace/HalfBuiltTest.php tests/Core/Crew/CrewTest.php',
            'tests/Core/Trace/SecondOpinionTest.php',
            'tests/Core/Trace/PropertiesTest.php',
        ] as $tests
    ) {
        // A change that makes a loop endless is noticed too.
        exec(
            "SEEDS=6 timeout 180 vendor/bin/pest --colors=never --stop-on-failure $tests >/dev/null 2>&1",
            $none,
            $code,
        );
        $passed = $passed && $code === 0;
        if (! $passed) {
            break;
        }
    }
    file_put_contents($file, $source);
    if ($passed) {
        $survived++;
        $change = trim($from).' → '.trim($to).' at '.$at;
        $looked = in_array(basename($file).'|'.trim($before)."|$change", $known, true);
        $named += (int) $looked;
        printf(
            "%s %s:%d  %s   [%s]\n",
            $looked ? 'named   ' : 'SURVIVED',
            basename($file),
            $n + 1,
            trim($before),
            $change,
        );
    }
    if (($i + 1) % 25 === 0) {
        fprintf(STDERR, "%d of %d, %d survived\n", $i + 1, count($sites), $survived);
    }
}
$all = count($sites);
printf(
    "%d of %d noticed (%.1f %%), %d survived, %d of them named\n",
    $all - $survived,
    $all,
    (100 * ($all - $survived)) / max(1, $all),
    $survived,
    $named,
);
