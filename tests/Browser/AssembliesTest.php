<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

require_once __DIR__.'/Support.php';

it(
    'clears a finding by keyboard alone: asks what would, takes the first cure, and undoes it',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w2.c");
        $browser->see('[data-finding^="year.over"]');
        saved($browser);
        $browser->driver->executeScript('document.activeElement.blur()');
        $before = $browser->driver->executeScript('return document.querySelector("[data-figure=year]").textContent');
        $browser->driver->action()->sendKeys(null, 'c')->perform();
        $browser->see('[data-panel=cures] [role=option]');
        $browser->until('return document.activeElement.getAttribute("role") === "listbox"');
        // The worst finding is the water in the sheathing; its first cure is a board that is thick enough.
        press($browser, WebDriverKeys::ENTER);
        $browser->until('return document.querySelector("[data-finding^=\"year.over\"]") === null');
        saved($browser);
        chord($browser, WebDriverKeys::CONTROL, 'z');
        $browser->see('[data-finding^="year.over"]');
        expect(
            $browser->driver->executeScript('return document.querySelector("[data-figure=year]").textContent'),
        )->toBe($before);
        saved($browser);
    }),
);

it(
    'shows variants side by side, sweeps a thickness over climates, and begins from an example',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w2/beside");
        $browser->until(
            'return document.querySelectorAll("[data-beside]").length === 4 && !/not computed/.test(document.querySelector("[data-table=beside]").textContent)',
        );
        $browser->open("/p/$project/assemblies/w2/climates");
        $browser->until('return document.querySelectorAll("[data-climate]").length === 7');
        $browser->open("/p/$project/assemblies/w2");
        $browser->see('[data-figure=u]');
        button($browser, 'from an example');
        $browser->see('[data-example=pool-roof-light] button')->click();
        $browser->until('return /\/assemblies\/r2$/.test(location.pathname)');
        $browser->see('[data-finding^="year.accumulates"]');
        expect(
            $browser->driver->executeScript('return document.querySelector("[data-figure=year]").textContent'),
        )->toBe('accumulates');
    }),
);

it(
    'takes a material from its data sheet, says what is wrong with it, and keeps what was typed',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/materials");
        $browser->until('return document.querySelectorAll("[data-material]").length > 200');
        button($browser, 'a new material');
        $browser->see('form input');
        $field = fn (string $label) => $browser->driver->findElement(
            WebDriverBy::xpath('//form//label[starts-with(normalize-space(.), "'.$label.'")]//input'),
        );
        $field('Name')->sendKeys('Valley board');
        $field('conductivity')->sendKeys('0.034');
        $field('permeance, dry')->sendKeys('soft');
        $field('Data sheet')->sendKeys('Sheet 7');
        $field('Its date')->sendKeys('2026-02');
        $browser->driver->executeScript('document.querySelector("form button[type=submit]").click()');
        $browser->until(
            'return /“soft” cannot be read/.test(document.querySelector("form [role=alert]")?.textContent ?? "")',
        );
        $field('permeance, dry')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'0.8 perm');
        $browser->driver->executeScript('document.querySelector("form button[type=submit]").click()');
        $browser->until(
            'return location.pathname.endsWith("/materials/valley-board") && /Sheet 7/.test(document.querySelector("aside").textContent)',
        );
        // 0.8 perm is 45.8 ng/(Pa·s·m²): the figure is kept in SI and shown as it was read.
        $browser->until('return /46 ng/.test(document.querySelector("aside").textContent)');
        expect($browser->driver->executeScript('return document.querySelector("aside").textContent'))
            ->toContain('data sheet')
            ->toContain('0.034');
    }),
);

it(
    'puts what follows from an error under it, turns a faced batt round, and marks what a wall costs and who builds it',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w2");
        $browser->see('[data-finding^="year.over"] [data-follows]');
        $browser->until(
            'return document.querySelector("[data-reckoning]") !== null && document.querySelectorAll("[data-finding^=\"practice.leak-condenses\"]").length === 1 && document.querySelector("[data-finding^=\"year.over\"] [data-finding^=\"practice.leak-condenses\"]") !== null',
        );
        $browser->driver->executeScript(
            'const set = (words, value) => { const s = [...document.querySelectorAll("label")].find((l) => l.textContent.startsWith(words)).querySelector("select"); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, value); s.dispatchEvent(new Event("change", { bubbles: true })); }; set("costs", "dear"); set("built by", "trained");',
        );
        saved($browser);
        $browser->open("/p/$project/assemblies/w2/beside");
        $browser->until(
            'return /more than most[\s\S]*trained for it/.test(document.querySelector("[data-effort=w2]")?.innerText ?? "")',
        );
        expect($browser->driver->getCurrentURL())->toContain('/beside');
    }),
);

it(
    'takes on a finding with a reason, finds it again among those accepted, and takes it back',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/findings");
        $browser->see('[data-finding^="year.over"] [data-accepted=no] button')->click();
        $browser->see('[data-finding^="year.over"] textarea')->sendKeys('dried mechanically');
        press($browser, WebDriverKeys::TAB);
        press($browser, WebDriverKeys::ENTER);
        $browser->see('[data-finding^="year.over"] [data-accepted=yes]');
        button($browser, 'accepted');
        $browser->until(
            'return document.querySelectorAll("[data-finding]:not([data-finding] [data-finding])").length === 1 && /dried mechanically/.test(document.querySelector("[data-accepted=yes]").innerText)',
        );
        button($browser, 'take it back');
        $browser->until('return document.querySelector("[data-accepted=yes]") === null');
        expect($browser->driver->getCurrentURL())->toContain('/findings');
    }),
);

it(
    'draws the way of the water to daylight, and that it is shut once its base is said to be',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w1");
        $browser->see('[data-drawing="drain path"][data-out=true]');
        $base = $browser->see('select[aria-label="the drained space at its base"]');
        (new WebDriverSelect($base))->selectByValue('closed');
        $browser->see('[data-drawing="drain path"][data-out=false]');
        expect($browser->see('[data-finding^="drain.base-closed"]')->getText())->toContain('Fail');
    }),
);

it('keeps an R that was typed before the library had come', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        // The library comes when it is let go, as it does on a slow line.
        (new ChromeDevToolsDriver($browser->driver))->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => '
            const fetched = window.fetch;
            window.fetch = (...asked) => /\/materials/.test(String(asked[0]?.url ?? asked[0]))
                ? new Promise((go) => { (window.held ??= []).push(go); }).then(() => fetched(...asked))
                : fetched(...asked);
        ']);
        $browser->open("/p/$project/assemblies/w1");
        $browser->click('[data-layer=l3]');
        retype($browser, '[data-bench=l3] input', 'R-20');
        $browser->until('return document.querySelector("[data-bench=l3] [role=alert]") !== null', 'no conductivity yet');
        $browser->driver->executeScript('window.held.forEach((go) => go())');
        $browser->until('return document.querySelector("[data-bench=l3] [role=alert]") === null', 'what R-20 is');
        saved($browser);
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $layer = array_column($file['assemblies'], null, 'id')['w1']['layers'][2];
        expect($layer['thickness_typed'])->toBe('R-20')->and($layer['thickness_mm'])->toBeGreaterThan(100);
    });
});
