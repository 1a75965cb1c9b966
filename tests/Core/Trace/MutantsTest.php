<?php

declare(strict_types=1);

it('names, of the changes that no test notices, only places that there are', function () {
    $root = dirname(__DIR__, 3);
    $left = json_decode((string) file_get_contents("$root/docs/mutants.json"), true);
    expect(count($left))->toBeGreaterThan(50);
    $folders = ['core/src/Trace', 'core/src/Trace/Check', 'core/src/Detail'];
    foreach ($left as ['file' => $file, 'line' => $line, 'change' => $change, 'why' => $why]) {
        $found = array_values(
            array_filter(array_map(fn (string $f): string => "$root/$f/$file", $folders), is_file(...)),
        );
        [$from, $at] = [strstr($change, ' → ', true), (int) substr((string) strrchr($change, ' '), 1)];
        $there = array_filter(
            file($found[0] ?? throw new LogicException($file), FILE_IGNORE_NEW_LINES) ?: [],
            fn (string $row): bool => trim($row) === $line && str_starts_with(ltrim(substr($row, $at)), $from),
        );
        expect($there)
            ->not->toBe([], "$file: $line [$change]")
            ->and($why)
            ->not->toBe('');
    }
});
