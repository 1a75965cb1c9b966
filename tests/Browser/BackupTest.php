<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

require_once __DIR__.'/Support.php';

/** The one command, beside the instance that these tests run against. */
function apron(string ...$words): Process
{
    $token = is_string(getenv('TEST_TOKEN')) ? getenv('TEST_TOKEN') : '1';
    $instance = (string) (getenv("APRON_INSTANCE_$token") ?: 'test');
    // What the tests themselves are told of an application is not that of the instance.
    $cleared = array_fill_keys(
        ['APP_ENV', 'APP_CONFIG_CACHE', 'APP_ROUTES_CACHE', 'APP_EVENTS_CACHE', 'DB_DATABASE', 'SESSION_DRIVER'],
        false,
    ) + array_fill_keys(['CACHE_STORE', 'BCRYPT_ROUNDS', 'QUEUE_CONNECTION', 'LARAVEL_PARALLEL_TESTING'], false);

    $root = dirname(__DIR__, 2);

    return new Process(['./apron', ...$words], $root, ['APRON_INSTANCE' => $instance] + $cleared, timeout: 120);
}

/** @return list<string> names of the projects that somebody sees */
function projectNames(Browser $browser): array
{
    return array_column(json_decode(fetched($browser, '/api/projects'), true), 'name');
}

/** Begins a project as a page would. */
function newProject(Browser $browser, string $name): void
{
    $browser->driver->executeAsyncScript(
        'const [body, done] = arguments;'.
            ' const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
            ' fetch("/api/projects", { method: "POST", body, headers: { Accept: "application/json",'.
            ' "X-XSRF-TOKEN": token, "Content-Type": "application/json" } }).then(done)',
        [json_encode(['name' => $name, 'units' => 'si'])],
    );
}

it(
    'copies all that people wrote while they work, refuses a damaged copy, and puts a whole one back',
    fn () => signedIn('consultant', function (Browser $browser) {
        $copy = sys_get_temp_dir().'/apron-copy-'.bin2hex(random_bytes(4)).'.tar.gz';
        newProject($browser, 'Before the copy');
        // While it is made, work goes on.
        $making = apron('backup', $copy);
        $making->start();
        foreach (range(1, 5) as $n) {
            newProject($browser, "While it is made $n");
        }
        expect($making->wait())->toBe(0, $making->getErrorOutput().$making->getOutput());
        newProject($browser, 'After the copy');
        $now = projectNames($browser);
        expect($now)->toContain('Before the copy', 'After the copy');

        // A byte another, a piece missing, no copy at all: refused, and nothing is touched.
        $bytes = (string) file_get_contents($copy);
        $damaged = [
            substr_replace($bytes, chr(ord($bytes[intdiv(strlen($bytes), 2)]) ^ 1), intdiv(strlen($bytes), 2), 1),
            substr($bytes, 0, intdiv(strlen($bytes), 3)),
            'no copy',
        ];
        foreach ($damaged as $wrong) {
            file_put_contents("$copy.wrong", $wrong);
            $putting = apron('restore', "$copy.wrong");
            expect($putting->run())->toBe(1)->and($putting->getErrorOutput())->toContain('Nothing has been touched');
        }
        unlink("$copy.wrong");
        expect(projectNames($browser))->toBe($now);
        // Never written over.
        expect(apron('backup', $copy)->run())->toBe(1);

        $putting = apron('restore', $copy);
        expect($putting->run())->toBe(0, $putting->getErrorOutput().$putting->getOutput());
        $back = projectNames($browser);
        expect($back)->toContain('Before the copy')->not->toContain('After the copy');
        $browser->open('/');
        $browser->see('a[href^="/p/"]');
        unlink($copy);
        // What was there before lies beside it, and is put back for the tests that follow.
        preg_match('#(/\S+before-restore\S+\.tar\.gz)#', $putting->getOutput(), $before);
        expect(apron('restore', $before[1])->run())->toBe(0);
        expect(projectNames($browser))->toContain('After the copy');
    }),
);
