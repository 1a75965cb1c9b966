<?php

declare(strict_types=1);

it('writes no line wider than 120 characters, but for a text that stands in one', function () {
    $root = dirname(__DIR__, 2);
    $wide = [];
    foreach (
        explode("\n", trim((string) shell_exec('cd '.escapeshellarg($root).' && git ls-files "*.php"'))) as $file
    ) {
        foreach (file("$root/$file", FILE_IGNORE_NEW_LINES) ?: [] as $i => $line) {
            $text = preg_match('/([\'"])(?:(?!\1).){60,}\1/u', $line) === 1 || str_ends_with($file, '.blade.php');
            if (mb_strlen($line) > 120 && ! $text) {
                $wide[] = "$file:".($i + 1);
            }
        }
    }
    expect($wide)->toBe([]);
});

arch('the core knows nothing of the framework')
    ->expect('Apron')
    ->not->toUse(['Illuminate', 'Symfony', 'App', 'Laravel']);

arch('the core reads and prints only through its formats')
    ->expect(['echo', 'print', 'dd', 'dump', 'var_dump', 'exit', 'die'])
    ->not->toBeUsedIn('Apron');

it('has no two folders of the core that use each other, directly or in a ring', function () {
    $root = dirname(__DIR__, 2).'/core/src/';
    $folder = fn (string $class): string => explode('\\', $class)[1];
    $uses = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        $own = 'Apron\\'.strtr(substr($file->getPathname(), strlen($root), -4), '/', '\\');
        // Names that are written out are enough: within a folder nothing is imported, and across folders everything is.
        preg_match_all('/Apron(?:\\\\\w+){2,}/', php_strip_whitespace($file->getPathname()), $named);
        foreach ($named[0] as $class) {
            $uses[$folder($own)][$folder($class)] = true;
        }
    }
    expect(count($uses))->toBeGreaterThan(15);
    $reached = function (string $from) use ($uses): array {
        [$seen, $next] = [[], array_keys($uses[$from] ?? [])];
        while ($next !== []) {
            $at = array_pop($next);
            if (! isset($seen[$at]) && $at !== $from) {
                $seen[$at] = true;
                array_push($next, ...array_keys($uses[$at] ?? []));
            }
        }

        return array_keys($seen);
    };
    $rings = [];
    foreach (array_keys($uses) as $from) {
        foreach ($reached($from) as $to) {
            if (isset($uses[$to][$from])) {
                $rings[] = "$from and $to";
            }
        }
    }
    expect($rings)->toBe([]);
});

it('keeps the steps of the interface apart', function () {
    foreach (glob(__DIR__.'/../../resources/js/steps/*/*.ts*') as $file) {
        $own = basename(dirname($file));
        preg_match_all("#from '\.\./([a-z]+)/#", file_get_contents($file), $others);
        expect(array_diff($others[1], [$own]))->toBe([], basename($file));
    }
});

it('describes every folder of the core, above those that use it', function () {
    $text = (string) file_get_contents(dirname(__DIR__, 2).'/docs/architecture.md');
    $table = substr($text, (int) strpos($text, '## The core'), 4000);
    preg_match_all('/`(\w+)\/`/', implode("\n", preg_grep('/^\| `/', explode("\n", $table))), $named);
    $order = array_flip($named[1]);
    $root = dirname(__DIR__, 2).'/core/src/';
    expect(array_diff(array_map(basename(...), glob("$root*", GLOB_ONLYDIR)), $named[1]))->toBe([]);
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        $own = explode('/', substr($file->getPathname(), strlen($root)))[0];
        preg_match_all('/Apron\\\\(\w+)\\\\/', php_strip_whitespace($file->getPathname()), $uses);
        foreach (array_unique($uses[1]) as $used) {
            expect($order[$used])->toBeLessThanOrEqual($order[$own], "{$file->getFilename()} uses $used");
        }
    }
});
