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
        $browser->see('aside [data-clears=instead] button');
        $browser->driver
            ->action()
            ->keyDown(null, WebDriverKeys::ALT)
            ->sendKeys(null, '1')
            ->keyUp(null, WebDriverKeys::ALT)
            ->perform();
        $browser->until(
            'return document.querySelector("[data-contact=\"copper.touches.aluminium\"]") === null',
            'the pair, gone',
        );
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $layers = array_column($file['assemblies'], 'layers', 'id')['w9'];
        expect($layers[2]['material'])->not->toBe('copper');
    });
});

it('keeps a pull on the real face, and the pair is judged by it everywhere', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/contacts");
        $pair = '[data-contact="membrane-sbs.bonded.glass-mat-gypsum.dry"]';
        $browser->click($pair);
        $browser->see('aside [data-pair="prime first"] [data-pulls]');
        // Nothing said: it says what makes a test.
        button($browser, 'keep this pull', WebDriverKeys::ENTER);
        $browser->until('return /how it came away/.test(document.querySelector("[data-pulls] [role=alert]")?.textContent)');
        $field = fn (string $label) => $browser->see("[data-pulls] [aria-label='$label']");
        $browser->driver->executeScript(
            'const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set;'.
                ' set.call(arguments[0], "2026-05-04"); arguments[0].dispatchEvent(new Event("input", { bubbles: true }));',
            [$field('Day it was pulled')],
        );
        $field('Who pulled it')->sendKeys('A. Inspector');
        $field('How it came away')->sendKeys('adhesive');
        $field('Days it had lain')->sendKeys('three');
        button($browser, 'keep this pull', WebDriverKeys::ENTER);
        $browser->until('return /three/.test(document.querySelector("[data-pulls] [role=alert]")?.textContent)');
        $field('Days it had lain')->sendKeys([
            WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL,
            '3',
            WebDriverKeys::ENTER,
        ]);
        $browser->see('aside [data-pair="no bond"]');
        $browser->until('return /let go of the face, after 3 days/.test(document.querySelector("[data-pulls]").textContent)');
        $browser->until("return /no bond/.test(document.querySelector('$pair').textContent)");
        // Primed, and tried again another day.
        $field('How it came away')->sendKeys('cohesive');
        $browser->driver->executeScript(
            'const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set;'.
                ' set.call(arguments[0], "2026-05-09"); arguments[0].dispatchEvent(new Event("input", { bubbles: true }));',
            [$field('Day it was pulled')],
        );
        button($browser, 'keep this pull', WebDriverKeys::ENTER);
        $browser->see('aside [data-pair=bonds]');
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect(array_column($file['adhesion'][0]['pulls'], 'mode'))->toBe(['adhesive', 'cohesive']);
    });
});

it('shows the months that each can be laid in, and who is in the sun too long', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/contacts");
        $browser->see('[data-season] summary')->sendKeys(WebDriverKeys::ENTER);
        $browser->until(
            'return [...document.querySelectorAll("[data-season-of=\"membrane-sbs\"] td")].filter((td) => td.textContent === "C").length >= 4',
            'the cold months of bitumen',
        );
        $browser->see("[aria-label='Days until it is covered']")->sendKeys('100 days');
        $browser->until('return /no number of days/.test(document.querySelector("[data-season] [role=alert]")?.textContent)');
        retype($browser, "[aria-label='Days until it is covered']", '100');
        $sun = fn (string $of): string => "document.querySelector('[data-season-of=\"$of\"] [data-sun]').dataset.sun";
        $browser->until("return {$sun('membrane-sbs')} === 'true' && {$sun('polyolefin-wrap')} === 'false'");
        expect($browser->text('[data-season-of="membrane-sbs"]'))->toContain('90 ▲');
    });
});

it('leads from the mark on a drawing to its pair, and takes in what was used instead', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/d4");
        $browser->click('[aria-label="Steps of the work"] li:last-child button');
        $browser->click('[data-drawing] [data-touching]');
        $browser->see('aside [data-pair="test first"]');
        $browser->open("/p/$project/site/faults");
        $fields = WebDriverBy::cssSelector('[data-instead] select, [data-instead] input');
        $of = fn (int $n) => $browser->driver->findElements($fields)[$n];
        $browser->see('[data-instead] select');
        $browser->until('return document.querySelectorAll("[data-instead] select option").length > 4', 'the walls to choose from');
        $of(0)->sendKeys('Foot of the sheathing');
        $browser->until('return document.querySelectorAll("[data-instead] select")[1].options.length > 2', 'its pieces');
        $of(1)->sendKeys('foot strip');
        $of(2)->sendKeys('a strip of something');
        $of(3)->sendKeys(['The roll had run out', WebDriverKeys::ENTER]);
        $browser->until('return /no material of the project/.test(document.querySelector("[data-instead] [role=alert]")?.textContent)');
        $of(2)->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'Seam tape, butyl');
        button($browser, 'put it in the record', WebDriverKeys::ENTER);
        $browser->see('[data-substitution]');
        $browser->until('return /The roll had run out/.test(document.querySelector("[data-substitution]").textContent)');
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $used = array_column($file['site']['events'], 'material', 'kind');
        expect($used['substitution'])->toBe('seam-tape-butyl');
    });
});
