<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Process\Process;

require_once __DIR__.'/Support.php';

it('walks from the brief to the report, and shows what the command line computes', function () {
    $browser = new Browser((string) getenv('APRON_URL'));
    try {
        // 1 Sign in, and 2 the brief.
        $browser->open('/p/anything/brief');
        $browser->until('return location.pathname === "/sign-in"');
        $browser->signIn('consultant');
        $project = beginProject($browser, 'Boathouse, walk', 'us');
        // A new project asks for one thing: the climate, as small years to pick from.
        $browser->until(
            'return document.querySelectorAll("[data-first-minute] [data-climate]").length === 7',
            'seven small years to pick from',
        );
        $browser->click('[data-first-minute] li:nth-child(2) [data-climate]');
        $browser->surely(
            fn () => $browser->driver
                ->findElement(WebDriverBy::cssSelector('select[aria-label="Indoor air"] option[value=fixed]'))
                ->click(),
        );
        $browser->see('[data-line="indoor dew point"]');
        retype($browser, 'aside input', '70 F');
        saved($browser);

        // 3 A wall on its drawing, by mouse: R-10 in a thickness field is the thickness that gives it.
        $browser->open("/p/$project/assemblies");
        button($browser, 'new assembly');
        $browser->click('[data-layer=l2]');
        retype($browser, '[data-bench=l2] input', 'R-10');
        $browser->until(
            'return document.querySelector("[data-bench=l2] input").nextElementSibling.textContent.includes("61.6 mm")',
            'R-10 of λ 0.035 to be read as 61.6 mm',
        );
        button($browser, 'add');
        $browser->type('[role=combobox]', 'felt');
        press($browser, "\u{E007}");
        $browser->until('return document.querySelectorAll("[data-drawing=section] [role=option]").length === 3');
        saved($browser);

        // The numbers on the screen are those of the command line on the exported file.
        $file = fetched($browser, "/api/projects/$project/export.json");
        $checked = json_decode(apronCheck($file)['out'], true)['assemblies'][0];
        $layers = json_decode($file, true)['assemblies'][0]['layers'];
        expect($layers[1])
            ->toMatchArray(['thickness_typed' => 'R-10', 'material' => 'mineral-wool-board'], json_encode($layers));
        $browser->until(
            'const r = document.querySelector("[data-figure=r-total]"); return r !== null && Math.abs(Number(r.dataset.exact) - '.
                $checked['r_total_m2k_w'].
                ') < 1e-12',
            'R of the screen to equal check --json',
        );
        expect((float) $browser->see('[data-figure=u]')->getAttribute('data-exact'))
            ->toBe($checked['u_w_m2k'])
            ->and($browser->text('[data-figure=r-total]'))
            ->toBe(sprintf('R-%.1f', $checked['r_total_m2k_w'] / 0.1761101837))
            ->and($browser->text('[data-figure=year]'))
            ->toBe($checked['year']['verdict']);

        // 4 A finding leads to its place.
        $browser->open("/p/$project/findings");
        $browser->click('[data-finding="control.missing"] a');
        $browser->until('return location.pathname.endsWith("/assemblies/w1")');

        // 5 One opening, its size typed in inches, stepped through.
        $browser->open("/p/$project/sequences");
        choose($browser, 'New detail', 'flanged-unit-in-fastened-sheet');
        button($browser, 'make it');
        $browser->see('[data-drawing=unfolded]');
        retype($browser, 'main input[inputmode=text]', '36 in');
        button($browser, '2 sill pan');
        // 36 in of sill and 6 in up each jamb; 140 mm of depth and 3 in on the face.
        $browser->until(
            'const c = document.querySelector("[data-cut=pan]"); return c !== null && c.textContent === "48 in × 8-1/2 in"',
            'the pan’s cut size',
        );
        saved($browser);
        expect(
            json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['openings'][0]['parameters'][
                'width_mm'
            ],
        )->toEqualWithDelta(914.4, 1e-9);

        // 6 On site, on a phone: a short reading, a photograph, a fault, its repair and its re-inspection.
        $browser->size(390, 844, true);
        $browser->open("/p/$project/site");
        $browser->click('[data-mode=site] [data-check="o1.flap-over-head-strip"]');
        foreach (['3', '.', '5', 'in'] as $key) {
            $browser->click("button[aria-label=\"$key\"]");
        }
        $browser->until(
            'return document.querySelector("[data-verdict]").dataset.verdict === "caution"',
            '3.5 in of 100 mm to be a caution',
        );
        $picture = tempnam(sys_get_temp_dir(), 'apron').'.png';
        imagepng(imagecreatetruecolor(64, 48), $picture);
        $browser->surely(fn () => $browser->driver->findElement(WebDriverBy::name('photograph'))->sendKeys($picture));
        button($browser, 'keep the picture');
        $browser->until(
            'return [...document.querySelectorAll("button")].some(b => b.textContent === "photo · 1")',
            'the photograph to be kept',
        );
        button($browser, 'keep, next');
        $browser->until(
            'const s = document.querySelector("[data-waiting]"); return s !== null && s.dataset.waiting === "0"',
            'everything to be sent',
        );
        // Read again, as a correction: the earlier reading stays in the record and no longer counts.
        $browser->open("/p/$project/site/check/o1.flap-over-head-strip");
        $browser->click('[data-check-screen] input[type=checkbox]');
        foreach (['9', '2', 'mm'] as $key) {
            $browser->click("button[aria-label=\"$key\"]");
        }
        button($browser, 'keep, next');
        $browser->until(
            'const s = document.querySelector("[data-waiting]"); return s !== null && s.dataset.waiting === "0"',
            'the correction to be sent',
        );
        $flap = collect(json_decode(fetched($browser, "/api/projects/$project/site"), true)['checks'])->firstWhere(
            'id',
            'o1.flap-over-head-strip',
        );
        expect($flap['verdict'])
            ->toMatchArray(['count' => 1, 'least_mm' => 92])
            ->and(count(json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['site']['events']))
            ->toBe(5);

        $browser->open("/p/$project/site/faults");
        $browser->type('[data-fault][data-state=open] input[placeholder]', 'a strip of sheet added under the fold');
        button($browser, 'repaired');
        $browser->see('[data-fault][data-state=repaired]');
        button($browser, 'in order');
        $browser->see('[data-fault][data-state=closed]');

        // 7 The report, printed on the queue.
        $browser->size(1280, 800);
        $browser->open("/p/$project/report");
        button($browser, 'Print the report');
        $browser->see('[data-report]');
        $browser->until(
            'return ["done", "failed"].includes(document.querySelector("[data-report]").dataset.state)',
            'the report',
        );
        expect($browser->see('[data-report]')->getAttribute('data-state'))->toBe(
            'done',
            $browser->text('[data-report]'),
        );
        $pdf = tempnam(sys_get_temp_dir(), 'apron').'.pdf';
        file_put_contents(
            $pdf,
            fetched($browser, '/api/reports/'.$browser->see('[data-report]')->getAttribute('data-report').'/file'),
        );
        $pages = explode("\f", (new Process(['pdftotext', '-layout', $pdf, '-']))->mustRun()->getOutput());
        $section = array_key_first(array_filter($pages, fn (string $page): bool => str_contains($page, 'w1 · Wall 1') &&
            ! str_contains($page, 'Contents')));
        expect($section)
            ->not->toBeNull()
            ->and($pages[$section])
            ->toContain('Mineral wool board, semi-rigid')
            ->toContain(sprintf('R-%.1f', $checked['r_total_m2k_w'] / 0.1761101837))
            ->and((string) preg_replace('/\s+/', ' ', implode(' ', $pages)))
            ->toContain('approves nothing')
            ->toContain('a strip of sheet added under the fold')
            ->toContain('Lay the sill pan');
        $images = (new Process([
            'pdfimages',
            '-list',
            '-f',
            (string) ($section + 1),
            '-l',
            (string) ($section + 1),
            $pdf,
        ]))
            ->mustRun()
            ->getOutput();
        expect(count(explode("\n", trim($images))))->toBe(2, "the section's page has no picture in it: $images");

        // What the browser had to complain of, such as a script that the content policy stopped; a size half typed is
        // refused, rightly.
        $complaints = array_filter(
            $browser->driver->manage()->getLog('browser'),
            fn (array $line): bool => $line['level'] === 'SEVERE' &&
                ! preg_match('/status of (401|422)/', $line['message']),
        );
        expect(array_column($complaints, 'message'))->toBe([]);
    } finally {
        $browser->close();
    }
});
