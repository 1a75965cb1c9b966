<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

require_once __DIR__.'/Support.php';

/** The demo of those who look on: nobody else changes its copy. */
function copiedDemo(Browser $browser): string
{
    $file = json_encode(['project' => ['name' => 'Issued hall'] + demoFile()['project']] + demoFile());

    return json_decode(posted($browser, '/api/projects/import', $file), true)['id'];
}

/** What is sent as a file under the session of the browser. */
function posted(Browser $browser, string $path, string $file): string
{
    return $browser->driver->executeAsyncScript(
        'const [path, file, done] = arguments; const form = new FormData();'.
            ' form.append("file", new Blob([file], { type: "application/json" }), "project.json");'.
            ' const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
            ' fetch(path, { method: "POST", body: form,'.
            ' headers: { Accept: "application/json", "X-XSRF-TOKEN": token } })'.
            '.then((r) => r.text()).then(done)',
        [$path, $file],
    );
}

/** Saves as a page would. */
function put(Browser $browser, string $path, array $body): void
{
    $browser->driver->executeAsyncScript(
        'const [path, body, done] = arguments;'.
            ' const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
            ' fetch(path, { method: "PUT", body, headers: { Accept: "application/json", "X-XSRF-TOKEN": token,'.
            ' "Content-Type": "application/json" } }).then(done)',
        [$path, json_encode($body)],
    );
}

it(
    'issues a project, prints it with contents, numbered sheets and scales, and shows readers that and nothing else',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copiedDemo($browser);
        $browser->open("/p/$project/report");
        $browser->type('[data-issue] input[name=title]', 'tender');
        $browser->type('[data-issue] textarea', "Walls and roofs.\nNot the old library.");
        button($browser, 'Issue it as it stands');
        $browser->see('[data-revision="1"] a[href$="/file"]');
        $browser->until(
            'return [...document.querySelectorAll("[data-revision=\"1\"] a")].some((a) => a.textContent === "report.pdf")',
            'the report of what was issued',
        );
        $issued = json_decode(fetched($browser, "/api/projects/$project/revisions"), true)['revisions'][0];
        $pdf = tempnam(sys_get_temp_dir(), 'apron').'.pdf';
        file_put_contents($pdf, fetched($browser, "/api/reports/{$issued['reports'][0]['id']}/file"));
        $read = (new Process(['pdftotext', $pdf, '-']))->mustRun()->getOutput();
        $pages = explode("\f", $read);
        $flat = fn (string $text): string => (string) preg_replace('/\s+/', ' ', $text);
        expect($flat($pages[0]))
            ->toContain('Issued hall')
            ->toContain('tender')
            ->toContain('Not the old library.')
            ->toContain($issued['sha256'])
            ->and($flat($read))
            ->toContain('scale 1 : ');
        // Every sheet that the contents name stands, with its number, on a later page.
        preg_match_all('/^(\d+\.\d+) (.+)$/m', $pages[1], $named, PREG_SET_ORDER);
        expect(count($named))->toBeGreaterThan(20);
        $later = $flat(implode(' ', array_slice($pages, 2)));
        foreach ($named as [, $number, $title]) {
            expect($later)->toContain("$number ".mb_substr($flat($title), 0, 24));
        }
        // It begins on the page that the contents say.
        $laid = (new Process(['pdftotext', '-layout', '-f', '2', '-l', '2', $pdf, '-']))->mustRun()->getOutput();
        preg_match_all('/(?<![\d.])(\d+\.\d+) (\S.*?)\s{2,}(\d+)(?=\s{2,}|$)/m', $laid, $rows, PREG_SET_ORDER);
        expect(count($rows))->toBeGreaterThan(20);
        foreach ($rows as [, $number, $title, $page]) {
            expect($flat($pages[(int) $page - 1]))->toContain("$number ".mb_substr($flat($title), 0, 20));
        }
        // Every finding in its words, and no picture but the photographs.
        $findings = json_decode(fetched($browser, "/api/revisions/{$issued['id']}"), true)['findings'];
        expect(count($findings))->toBeGreaterThan(10);
        foreach ($findings as $finding) {
            expect($flat($read))->toContain($flat($finding['title']));
        }
        $images = explode("\n", trim((new Process(['pdfimages', '-list', $pdf]))->mustRun()->getOutput()));
        expect(count($images) - 2)->toBeLessThanOrEqual(3);
        unlink($pdf);

        // What is another since then is told, of the documents and of what is said of them.
        $wall = collect(json_decode(fetched($browser, "/api/projects/$project"), true)['assemblies'])
            ->firstWhere('key', 'w1');
        put($browser, "/api/projects/$project/documents/assembly/w1", [
            'revision' => $wall['revision'],
            'content' => ['name' => 'Wall of the hall'] + $wall['content'],
        ]);
        $browser->open("/p/$project/report");
        button($browser, 'what is another since');
        $browser->see('[data-compared=told]');
        $browser->until('return document.body.innerText.includes("Wall of the hall")', 'the new name');

        // Somebody of another house is asked in to read, on the record of the project.
        $browser->open("/p/$project/record");
        $browser->see('[data-member="reader@demo.test"] select');
        $browser->driver->executeScript(
            'const pick = document.querySelector("[data-member=\\"reader@demo.test\\"] select");'.
                ' Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(pick, "reader");'.
                ' pick.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $browser->until(
            'return document.querySelector("[data-history]").innerText.includes("said who takes part")',
            'the act in the history',
        );

        signedIn('reader', function (Browser $reader) use ($project): void {
            $reader->see("a[href=\"/p/$project/issued\"]");
            $reader->open("/p/$project/issued");
            $reader->see('[data-revision="1"] a[href$="/file"]');
            expect(json_decode(fetched($reader, "/api/projects/$project"), true)['message'] ?? '')->not->toBe('');
        });
    }),
);
