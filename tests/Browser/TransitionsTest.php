<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

require_once __DIR__.'/Support.php';

it('draws a building from the walk round it, decides its joints, and says what is open', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        // A project that nobody has said a building of.
        $browser->driver->executeAsyncScript(
            'const done = arguments[1]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
                ' fetch(arguments[0], { method: "DELETE", body: JSON.stringify({ revision: 1 }), headers: { "Content-Type":'.
                ' "application/json", Accept: "application/json", "X-XSRF-TOKEN": token } }).then((r) => done(r.status))',
            ["/api/projects/$project/documents/building/building"],
        );
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        $browser->driver->action()->sendKeys(null, '4')->perform();
        $walk = "[aria-label='The plan, as you walk round it']";
        $browser->see($walk)->sendKeys(['12000, up 8000', WebDriverKeys::ENTER]);
        $browser->until('return /neither a length nor a turn/.test(document.querySelector("[role=alert]")?.textContent)');
        $browser->see($walk)->clear();
        $browser->see($walk)->sendKeys(['12 000, left 8 000, left 12 000', WebDriverKeys::ENTER]);
        $browser->see('[data-drawing=plan] [data-block=b1]');
        $browser->see('[data-matrix] [data-kind=parapet]');
        // Of nothing yet: every joint is broken, and says why.
        $air = 'document.querySelector("[data-kind=parapet]").querySelectorAll("[data-state]")[1].dataset.state';
        $browser->until("return $air === 'broken'");
        $choose = fn (int $n, string $value) => (new WebDriverSelect(
            $browser->driver->findElements(WebDriverBy::cssSelector('[data-blocks] fieldset label select'))[$n],
        ))->selectByValue($value);
        foreach (['w2', 'r1'] as $n => $assembly) {
            $browser->surely(fn () => $choose($n, $assembly));
            $browser->until(
                'return [...document.querySelectorAll("[data-blocks] fieldset label select")]'.
                    "[$n].value === '$assembly' && ![...document.querySelectorAll('[data-blocks] fieldset label select')][$n].disabled",
            );
        }
        $browser->until("return $air === 'undecided'", 'nobody has said');
        // By keys to the roof’s edge, and said for all of the kind.
        for ($i = 0; $i < 6; $i++) {
            $browser->driver->executeScript('document.activeElement.blur()');
            $browser->driver->action()->sendKeys(null, ']')->perform();
            $browser->see('[data-deciding]');
            if ($browser->driver->executeScript('return document.querySelector("[data-deciding]").dataset.deciding') === 'parapet') {
                break;
            }
        }
        $browser->see('[data-deciding=parapet]');
        $browser->surely(
            fn () => (new WebDriverSelect($browser->see("[aria-label='What hands air over']")))->selectByValue('tape'),
        );
        $browser->until("return $air === 'carried'", 'taped all round');
        // One joint of them otherwise: the more particular wins.
        $browser->click('[data-joint="parapet:b1.roof|b1.wall.0"]');
        $browser->see('[data-deciding="parapet:b1.roof|b1.wall.0"]');
        $browser->surely(
            fn () => (new WebDriverSelect($browser->see("[aria-label='What hands air over']")))->selectByValue('none'),
        );
        $browser->until('return /nothing hands air over/.test(document.querySelector("[data-deciding]").textContent)');
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect($file['building']['blocks'][0]['outline'])
            ->toBe([[0, 0], [12000, 0], [12000, 8000], [0, 8000]])
            ->and($file['building']['connections'])
            ->toHaveCount(2);
    });
});
