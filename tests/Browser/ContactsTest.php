<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it('asks a pair from anywhere by keyboard, keeps it, and shows what touches in the job', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w2");
        $browser->see('[data-touching=caution]');
        $browser->driver->action()->sendKeys(null, 'q')->perform();
        $browser->until(
            'return document.activeElement.getAttribute("aria-label") === "This material"',
            'the question, one key away',
        );
        press($browser, 'Seam tape, acrylic', WebDriverKeys::TAB, WebDriverKeys::TAB, 'Concrete, reinforced');
        $browser->until('return /prime first/.test(document.querySelector("[data-ask] [role=status]")?.textContent)');
        $browser->see('aside [data-pair="prime first"]');
        // By hand it freezes: the answer changes with what is said of the face.
        $browser->surely(
            fn () => $browser->driver
                ->findElement(WebDriverBy::xpath('//label[contains(., "frost on it")]/input'))
                ->sendKeys(WebDriverKeys::SPACE),
        );
        $browser->until('return /no bond/.test(document.querySelector("[data-ask] [role=status]")?.textContent)');
        button($browser, 'keep it', WebDriverKeys::ENTER);
        $kept = fn (): array => array_column(
            json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['asked'] ?? [],
            'frost',
        );
        $browser->until('return document.querySelector("[data-contact=\"asked.q4\"]") !== null', 'the kept pair');
        expect($kept())->toContain(true);

        // The triangle and the list speak of the same pair.
        $browser->click('[data-contact="asked.q3"]');
        $browser->see('aside [data-pair=attacks]');
    });
});

it('takes another metal in the wall that has a bad pair, with one key', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $wall = [
            'id' => 'w9',
            'name' => 'Copper on aluminium',
            'kind' => 'wall',
            'layers' => [
                ['id' => 'l1', 'material' => 'plywood', 'thickness_mm' => 18],
                ['id' => 'l2', 'material' => 'aluminium', 'thickness_mm' => 1],
                ['id' => 'l3', 'material' => 'copper', 'thickness_mm' => 0.7],
            ],
        ];
        $browser->driver->executeAsyncScript(
            'const done = arguments[2]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
                ' fetch(arguments[0], { method: "PUT", body: arguments[1], headers: { "Content-Type": "application/json",'.
                ' Accept: "application/json", "X-XSRF-TOKEN": token } }).then((r) => done(r.status))',
            [
                "/api/projects/$project/documents/assembly/w9",
                json_encode(['revision' => 0, 'content' => $wall]),
            ],
        );
        $browser->open("/p/$project/contacts");
        $browser->click('[data-contact="copper.touches.aluminium"]');
        $browser->see('aside [data-pair=corrodes]');
        button($browser, 'take it', WebDriverKeys::ENTER);
        $browser->until(
            'return document.querySelector("[data-contact=\"copper.touches.aluminium\"]") === null',
            'the pair, gone',
        );
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $layers = array_column($file['assemblies'], 'layers', 'id')['w9'];
        expect($layers[2]['material'])->not->toBe('copper');
    });
});
