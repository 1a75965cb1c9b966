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
