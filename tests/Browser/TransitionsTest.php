<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

require_once __DIR__.'/Support.php';

/** Takes the building out of a project, so that nobody has said one of it. */
function withoutBuilding(Browser $browser, string $project): void
{
    $browser->driver->executeAsyncScript(
        'const done = arguments[1]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
            ' fetch(arguments[0], { method: "DELETE", body: JSON.stringify({ revision: 1 }), headers: { "Content-Type":'.
            ' "application/json", Accept: "application/json", "X-XSRF-TOKEN": token } }).then((r) => done(r.status))',
        ["/api/projects/$project/documents/building/building"],
    );
}

/** A key of the page, wherever the focus was. */
function pageKey(Browser $browser, string $key): void
{
    $browser->driver->executeScript('document.activeElement.blur()');
    $browser->driver->action()->sendKeys(null, $key)->perform();
}

/** The file of a project as it is saved by now. */
function buildingOf(Browser $browser, string $project): array
{
    return json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['building'];
}

it('draws a building from the walk round it, decides its joints, and says what is open', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        withoutBuilding($browser, $project);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        $browser->driver->action()->sendKeys(null, '4')->perform();
        $walk = "[aria-label='The plan, as you walk round it']";
        $browser->see($walk)->sendKeys(['12000, up 8000', WebDriverKeys::ENTER]);
        $browser->until('return /neither a length nor a turn/.test(document.querySelector("[role=alert]")?.textContent)');
        retype($browser, $walk, '12 000, left 8 000, left 12 000');
        $browser->see($walk)->sendKeys(WebDriverKeys::ENTER);
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
        saved($browser);
        // Taped, but from a layer that is no air layer: said, and taken back.
        $from = "[aria-label='Layer that hands air over, from']";
        $browser->surely(
            fn () => (new WebDriverSelect($browser->see("[aria-label='What hands air over']")))->selectByValue('tape'),
        );
        $browser->until('return !/nothing hands air over/.test(document.querySelector("[data-deciding]").textContent)');
        $browser->surely(fn () => (new WebDriverSelect($browser->see($from)))->selectByValue('l1'));
        $browser->until('return /the layer l1 does not carry air/.test(document.querySelector("aside").textContent)');
        $browser->surely(fn () => (new WebDriverSelect($browser->see($from)))->selectByIndex(0));
        $browser->until('return !/does not carry air/.test(document.querySelector("aside").textContent)');
        saved($browser);
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect($file['building']['blocks'][0]['outline'])
            ->toBe([[0, 0], [12000, 0], [12000, 8000], [0, 8000]])
            ->and($file['building']['connections'])
            ->toHaveCount(2);
    });
});

it('goes from a typed plan to an air thread that is closed, by keyboard alone', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        withoutBuilding($browser, $project);
        $browser->open("/p/$project/transitions");
        $browser->see("[aria-label='The plan, as you walk round it']")->sendKeys([
            '12000, left 8000, left 12000',
            WebDriverKeys::ENTER,
        ]);
        $browser->see('[data-matrix] [data-kind=parapet]');
        // What its sides are built of: the first letters of each in its list.
        foreach (['Stack wall, steel', 'Compact', 'Slab'] as $n => $typed) {
            $list = "[...document.querySelectorAll('[data-blocks] fieldset label select')][$n]";
            $browser->until("return $list !== undefined && $list.options.length > 1");
            $browser->surely(function () use ($browser, $n, $typed, $list): void {
                $select = $browser->driver->findElements(
                    WebDriverBy::cssSelector('[data-blocks] fieldset label select'),
                )[$n];
                $select->sendKeys($typed);
                if (! $browser->driver->executeScript("return $list.selectedOptions[0].textContent.startsWith('$typed')")) {
                    throw new RuntimeException("“{$typed}” is not taken yet");
                }
            });
        }
        $air = 'document.querySelectorAll("[data-matrix] tfoot td")[1].dataset.closed';
        $browser->until("return $air === 'false'");
        // Kind by kind, until it goes right round.
        $browser->until(
            'return document.querySelectorAll("[data-kind]").length === 3 && [...document.querySelectorAll("[data-kind]")].every((row) => row.querySelectorAll("[data-state]")[1].dataset.state === "undecided")',
        );
        foreach (range(1, 3) as $_) {
            $before = $browser->driver->executeScript('return document.querySelector("[data-deciding]")?.dataset.deciding ?? ""');
            pageKey($browser, ']');
            $browser->until('return (document.querySelector("[data-deciding]")?.dataset.deciding ?? "") !== '.json_encode($before));
            $browser->surely(function () use ($browser): void {
                $browser->see("[aria-label='What hands air over']")->sendKeys('taped');
                $value = 'return document.querySelector("[aria-label=\'What hands air over\']").value';
                if ($browser->driver->executeScript($value) !== 'tape') {
                    throw new RuntimeException('not taped yet');
                }
            });
            $kind = $browser->driver->executeScript('return document.querySelector("[data-deciding]").dataset.deciding');
            $browser->until(
                "return document.querySelector('[data-kind=\"$kind\"]').querySelectorAll('[data-state]')[1].dataset.state === 'carried'",
            );
        }
        $browser->until("return $air === 'true'", 'air closed');
        // Along it, joint by joint, right round and to the first again.
        pageKey($browser, 'a');
        pageKey($browser, WebDriverKeys::ARROW_RIGHT);
        $browser->see('[data-walked="1"]');
        $joints = $browser->driver->executeScript('return document.querySelector("[data-walked]").textContent.match(/of (\\d+)/)[1]');
        expect((int) $joints)->toBe(12);
        pageKey($browser, WebDriverKeys::ARROW_LEFT);
        $browser->see('[data-walked="12"]');
        pageKey($browser, WebDriverKeys::ARROW_RIGHT);
        $browser->see('[data-walked="1"]');
        // Drawn where it is, from near.
        pageKey($browser, 's');
        $browser->see('[data-drawing=cut] [data-thread=air]');
        pageKey($browser, 'z');
        $near = $browser->see('[data-drawing=cut][data-near]')->getAttribute('data-near');
        expect($near)->toBe($browser->driver->executeScript('return document.querySelector("[data-deciding]").dataset.deciding'));
        pageKey($browser, 'e');
        $browser->see('[data-drawing=elevation] [data-joint-line]');
    });
});

it('moves a side on the plan by the arrows and makes it as long as is typed, and takes back what is refused', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/transitions");
        // The long side of the reading room, pushed out by the keys, as a hurried hand does.
        $side = $browser->see('[data-side="reading 0"]');
        foreach (range(1, 5) as $_) {
            $side->sendKeys(WebDriverKeys::ARROW_UP);
        }
        saved($browser);
        expect(buildingOf($browser, $project)['blocks'][1]['outline'])->toBe([
            [9000, -500], [21000, -500], [21000, 8000], [9000, 8000],
        ]);
        $browser->surely(fn () => $browser->see('[data-side="reading 0"]')->sendKeys('1'));
        $browser->see('[aria-label="How long side 0 of reading is"]')->sendKeys(['1.25m', WebDriverKeys::ENTER]);
        $browser->until(
            'return /11250/.test(document.querySelector(\'[data-side="reading 0"]\').getAttribute("aria-label"))',
        );
        saved($browser);
        expect(buildingOf($browser, $project)['blocks'][1]['outline'][1])->toBe([20250, -500]);
        // The stair window stands at 7 m of that side: it cannot become 3 m long.
        $browser->surely(fn () => $browser->see('[data-side="reading 0"]')->sendKeys('3'));
        $browser->see('[aria-label="How long side 0 of reading is"]')->sendKeys(['000', WebDriverKeys::ENTER]);
        $browser->see('aside [data-state=refused]');
        expect($browser->see('aside [data-state=refused]')->getText())
            ->toContain('a place in a part of the envelope')
            ->and(buildingOf($browser, $project)['blocks'][1]['outline'][1])
            ->toBe([20250, -500]);
        // What was typed is still there, and goes back as it came.
        chord($browser, WebDriverKeys::CONTROL, 'z');
        saved($browser);
        expect($browser->see('[data-side="reading 0"]')->getAttribute('aria-label'))->toContain('11250');
    });
});

it('takes openings and what goes through from a table, and keeps the lines that cannot be read', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/transitions");
        $browser->see('[data-places] summary')->sendKeys(WebDriverKeys::ENTER);
        $field = '[data-table="Movement joints"] textarea';
        $browser->see($field)->sendKeys('m1, stacks, south, 4000');
        $browser->see('[data-table="Movement joints"] button')->sendKeys(WebDriverKeys::ENTER);
        expect($browser->see('[data-table="Movement joints"] [role=alert]')->getText())->toContain('line 1');
        expect($browser->see($field)->getAttribute('value'))->toBe('m1, stacks, south, 4000');
        retype($browser, $field, 'm1, stacks, 0, 4000');
        $browser->see('[data-table="Movement joints"] button')->sendKeys(WebDriverKeys::ENTER);
        $browser->see('[data-matrix] [data-kind=movement]');
        saved($browser);
        expect(buildingOf($browser, $project)['movement'])->toBe([
            ['id' => 'm1', 'block' => 'stacks', 'edge' => 0, 'x_mm' => 4000],
        ]);
        // A file from a sheet, of what goes through: read into the lines, to be looked at first.
        $file = tempnam(sys_get_temp_dir(), 'through').'.csv';
        file_put_contents($file, "thing;block;side;x;z;count\r\no9;stacks;3;1000;2500;4\r\n");
        $table = '[data-table="Things through the envelope"]';
        $browser->driver->findElement(WebDriverBy::cssSelector("$table input[type=file]"))->sendKeys($file);
        $browser->until('return /o9;stacks/.test(document.querySelector("[data-table=\'Things through the envelope\'] textarea").value)');
        $browser->see("$table button")->sendKeys(WebDriverKeys::ENTER);
        $browser->see('[data-matrix] [data-kind=penetration]');
        unlink($file);
        saved($browser);
        expect(array_sum(array_column(buildingOf($browser, $project)['placed'], 'count')))->toBe(4);
    });
});

it('makes the detail that fits a joint, in its wall, and the joint is proved by it', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/transitions");
        $browser->see('[data-list=undetailed] summary')->sendKeys(WebDriverKeys::ENTER);
        $count = 'document.querySelectorAll("[data-undetailed]").length';
        $before = $browser->driver->executeScript("return $count");
        $browser->see('[data-undetailed=parapet] button')->sendKeys(WebDriverKeys::ENTER);
        $browser->until("return $count === ".($before - 1), 'one less without a detail');
        saved($browser);
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $made = array_column($file['openings'], null, 'generator')['parapet'];
        expect($made['between'])
            ->toBe(['w2'])
            ->and(array_column($file['building']['connections'], 'detail'))
            ->toContain($made['id']);
    });
});
