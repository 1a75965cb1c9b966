<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it('runs a wall by keyboard, shows how far it has come and what it came to, and scrubs its last year', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w1/hours");
        $browser->until('return /Nothing has been run/.test(document.body.innerText)');
        press($browser, 'n');
        $years = '[data-run-form] input';
        retype($browser, $years, 'many');
        $browser->until('return /a number from 1 to 20/.test(document.querySelector("[data-run-form] [role=alert]")?.textContent)');
        retype($browser, $years, '1');
        // The same wall in the same weather is run once on an instance: this one looks where none has looked.
        $browser->type('[data-run-form] label:nth-of-type(2) input', (string) (mt_rand(0, 3599) / 10));
        saved($browser);
        press($browser, WebDriverKeys::ESCAPE);
        button($browser, 'run it', WebDriverKeys::ENTER);
        $browser->see('[data-run-state=done]');
        $browser->see('[data-drawing=mould]');
        $browser->see('[data-drawing=water-year]');
        $browser->see('[data-finding^="run.no-mould"]');
        $browser->see('[data-film="0"]');
        $browser->type('[data-film] input', WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $browser->see('[data-film="2"]');
        expect($browser->text('[data-film]'))->toContain('7 Jan, 2 h');
    });
});

it('sets the places of a unit side by side, keeps one and draws it with its isotherms', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w1/joints");
        $browser->until('return /Reading room wall/.test(document.body.innerText)');
        press($browser, 'g');
        $browser->see('[data-ways="7"]');
        button($browser, 'keep and draw', WebDriverKeys::ENTER);
        $browser->see('[data-isotherm]');
        $browser->see('[data-section=cut1] dl');
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect($file['plane_sections'][0]['id'])->toBe('cut1');
    });
});

it('counts the foot of a wall in the building: its heat and its thread follow, and the decision stays beside it', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $told = fn (): string => fetched($browser, "/api/projects/$project/assessment?paths=none");
        $building = fn (): array => json_decode($told(), true)['building'];
        $foot = fn (): array => array_values(array_filter(
            $building()['joints'],
            fn (array $j): bool => $j['kind'] === 'wall-to-slab',
        ));
        $before = $building()['heat']['joints_w_k']['wall-to-slab'];
        $browser->open("/p/$project/assemblies/w1/joints");
        $browser->see('select');
        choose($browser, 'Kind of joint', 'foot');
        $browser->see('[data-meets]');
        press($browser, 'g');
        $browser->see('[data-ways="2"]');
        button($browser, 'keep and draw', WebDriverKeys::ENTER);
        $browser->see('[data-counts=cut1] label');
        $browser->driver->executeScript(
            '[...document.querySelectorAll("[data-counts] label")].find((l) => /^foot of a wall/.test(l.innerText)).querySelector("input").click()',
        );
        $browser->until('return document.querySelector("[data-counts] input:checked:enabled") !== null', 'it to count');
        expect(array_unique(array_column($foot(), 'psi_by')))->toBe(['cut1']);
        expect($building()['heat']['joints_w_k']['wall-to-slab'])->not->toBe($before);

        // On the page of the joints it is said of the pair, and stays when something else is said of it there.
        $browser->open("/p/$project/transitions");
        $browser->click('[data-kind="wall-to-slab"] button');
        choose($browser, 'Said for', 'f1 and w1');
        $browser->until('return document.querySelector("[data-lost] select")?.value === "cut1"', 'the section');
        choose($browser, 'What hands heat over', 'foam');
        saved($browser);
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $said = array_values(array_filter(
            $file['building']['connections'],
            fn (array $c): bool => ($c['section'] ?? null) === 'cut1',
        ));
        expect($said)->toHaveCount(1)->and($said[0]['threads']['heat']['by'])->toBe('foam');
        expect(array_unique(array_column(array_column($foot(), 'threads'), 'heat')))->toBe(['carried']);
    });
});

it('keeps the hours of a weather file with its climate, and says so', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $lines = [
            'LOCATION,Measured hill,XX,NON,None,0,52.0,0.0,0.0,10.0', 'DESIGN CONDITIONS,0',
            'TYPICAL/EXTREME PERIODS,0', 'GROUND TEMPERATURES,0', 'HOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0',
            'COMMENTS 1,made up', 'COMMENTS 2,', 'DATA PERIODS,1',
        ];
        foreach (Apron\Climate\Month::DAYS as $m => $days) {
            for ($h = 0; $h < 24 * $days; $h++) {
                $cells = array_fill(0, 35, '0');
                [$cells[1], $cells[3], $cells[6], $cells[8]] = [$m + 1, $h % 24 + 1, 6, 75];
                $lines[] = implode(',', $cells);
            }
        }
        file_put_contents($epw = tempnam(sys_get_temp_dir(), 'apron').'.epw', implode("\n", $lines));
        $browser->open("/p/$project/brief");
        $browser->see('[aria-label="Climate from a file"]');
        $browser->surely(fn () => $browser->driver->findElement(
            Facebook\WebDriver\WebDriverBy::cssSelector('[aria-label="Climate from a file"]'),
        )->sendKeys($epw));
        $browser->until(
            'return /hours of its weather file/.test(document.querySelector("[data-weather=\"Measured hill\"]")?.textContent)',
            'the hours to be kept',
        );
        saved($browser);
        unlink($epw);
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect($file['climate']['name'])->toBe('Measured hill')
            ->and($file['weather']['hours']['temperature_c'])->toHaveCount(8760);
    });
});
