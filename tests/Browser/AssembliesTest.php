<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it(
    'clears a finding by keyboard alone: asks what would, takes the first cure, and undoes it',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w2.c");
        $browser->see('[data-finding="practice.leak-condenses"]');
        saved($browser);
        $browser->driver->executeScript('document.activeElement.blur()');
        $before = $browser->driver->executeScript('return document.querySelector("[data-figure=year]").textContent');
        $browser->driver->action()->sendKeys(null, 'c')->perform();
        $browser->see('[data-panel=cures] [role=option]');
        $browser->until('return document.activeElement.getAttribute("role") === "listbox"');
        // The worst finding is that of the steel; its first cure names the method.
        press($browser, WebDriverKeys::ENTER);
        $browser->see('[data-finding="heat.metal-method"]');
        $browser->until('return document.querySelector("[data-finding=\"heat.method-out-of-range\"]") === null');
        saved($browser);
        chord($browser, WebDriverKeys::CONTROL, 'z');
        $browser->see('[data-finding="heat.method-out-of-range"]');
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
        $field('permeance, dry')->clear()->sendKeys('0.8 perm');
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
