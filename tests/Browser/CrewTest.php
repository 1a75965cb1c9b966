<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it(
    'makes any detail, draws it facet by facet, and lets a choice of schools change it',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/d3");
        $browser->see('[data-drawing=unfolded] [data-piece=ledge-membrane]');
        $browser->see('[data-drawing=oblique]');
        $browser->until(
            'return document.querySelector("aside [data-finding=\"detail.sound\"]") !== null',
            'a flashing that sheds',
        );

        choose($browser, 'New detail', 'movement-joint');
        button($browser, 'make it');
        $browser->see('[data-piece=bent-metal]');
        choose($browser, 'closed by', 'silicone-strip');
        $browser->see('[data-piece=silicone-strip]');
        $browser->until(
            'return document.querySelector("aside [data-finding=\"rain.seal\"]") !== null',
            'a joint that relies on its seal',
        );
        saved($browser);
        $id = basename((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH));
        $made = array_column(
            json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['openings'],
            null,
            'id',
        )[$id];
        expect($made['generator'])
            ->toBe('movement-joint')
            ->and($made['parameters']['closed_by'])
            ->toBe('silicone-strip');

        // Gaps between layers, where they come out, and the air that gets through them.
        choose($browser, 'New detail', 'panel-joint');
        button($browser, 'make it');
        $browser->until(
            'return document.querySelectorAll("[data-drawing=unfolded] [data-gap]").length === 3',
            'the mouths of three gaps',
        );
        $browser->until(
            'return document.querySelector("aside [data-finding=\"detail.sound\"]") !== null',
            'panels with sealed edges',
        );
        choose($browser, 'edges of the cavities', 'tape-only');
        $browser->until(
            'return document.querySelectorAll("aside [data-finding=\"air.gap\"]").length === 2',
            'air behind both facers',
        );

        // A screw: leaks once it is to be pulled, tight where it is left.
        choose($browser, 'New detail', 'missed-screw');
        button($browser, 'make it');
        $browser->see('[data-drawing=unfolded] [data-piece=hole-patch]');
        $browser->until('return document.querySelector("[data-fastener=leaks]") !== null', 'the screw’s hole');
        choose($browser, 'found', 'covered');
        $browser->until(
            'return document.querySelector("[data-fastener=tight]") !== null && document.querySelector("[data-piece=hole-patch]") === null',
            'the screw left in',
        );
    }),
);

it(
    'keeps an opening as its sizes until a piece is pulled by hand, and again once that is undone',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $file = fn (): array => json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        $browser->open("/p/$project/sequences/d3");
        choose($browser, 'New detail', 'flanged-unit-in-self-adhered');
        button($browser, 'make it');
        $browser->see('[data-piece=course-above]');
        // The school of the head is the project's, until this opening says otherwise.
        $browser->until(
            'return [...document.querySelectorAll("select[aria-label]")].some((s) => s.value === "" && s.selectedOptions[0]?.textContent.startsWith("as usual: shingled"))',
            'the school of the project',
        );
        $id = basename((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH));
        $stated = array_column($file()['openings'], 'parameters', 'id')[$id];
        expect(array_keys($stated))->toBe(['width_mm', 'height_mm', 'depth_mm']);

        foreach (['field', 'pan', 'liner-left'] as $next) {
            $browser->driver->action()->sendKeys(null, 'p')->perform();
            $browser->see("[data-editor=$next]");
        }
        chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_DOWN);
        $browser->until('return document.body.textContent.includes("Edited by hand;")', 'a detail of its own');
        saved($browser);
        expect(array_column($file()['details'], 'id'))
            ->toContain($id)
            ->and(array_column($file()['openings'], 'id'))
            ->not->toContain($id);

        chord($browser, WebDriverKeys::CONTROL, 'z');
        $browser->until(
            'return !document.body.textContent.includes("Edited by hand;")',
            'an opening of the schedule again',
        );
        saved($browser);
        expect(array_column($file()['openings'], 'parameters', 'id')[$id])
            ->toBe($stated)
            ->and(array_column($file()['details'], 'id'))
            ->not->toContain($id);
    }),
);

it(
    'takes a piece of one’s own, pulls it by its edge, and undoes that',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/o4");
        $browser->see('[data-drawing=unfolded] [data-piece=head-liner]');
        $browser->driver->action()->sendKeys(null, 'n')->perform();
        $browser->see('[data-insert]');
        button($browser, 'put it there', WebDriverKeys::ENTER);
        $browser->see('[data-editor="own-1"]');
        saved($browser);
        $top = fn (): float => (float) $browser->driver->executeScript(
            'const l = [...document.querySelectorAll("[data-patch-editor=\"own-1.1\"] label")].find((e) => e.textContent.trim().startsWith("top")); return parseFloat(l.querySelector("input").value.replace("−", "-"))',
        );
        $before = $top();
        // The knob in the middle of its upper edge, pulled up by forty points of the screen.
        still($browser, '[data-knob="3"]');
        $knob = $browser->driver->findElement(WebDriverBy::cssSelector('[data-knob="3"]'));
        $browser->driver
            ->action()
            ->moveToElement($knob)
            ->clickAndHold()
            ->moveByOffset(0, -40)
            ->release()
            ->perform();
        $browser->until(
            'const l = [...document.querySelectorAll("[data-patch-editor=\"own-1.1\"] label")].find((e) => e.textContent.trim().startsWith("top")); return parseFloat(l.querySelector("input").value.replace("−", "-")) > '.
                $before,
            'a piece that reaches higher',
        );
        expect(fmod($top(), 5.0))->toBe(0.0);
        saved($browser);
        chord($browser, WebDriverKeys::CONTROL, 'z');
        $browser->until(
            'const l = [...document.querySelectorAll("[data-patch-editor=\"own-1.1\"] label")].find((e) => e.textContent.trim().startsWith("top")); return parseFloat(l.querySelector("input").value.replace("−", "-")) === '.
                $before,
            'the piece as it was',
        );
        button($browser, 'take this piece away');
        $browser->until('return document.querySelector("[data-piece=\"own-1\"]") === null');
        saved($browser);
    }),
);

it(
    'says so when no answer comes, leaves the drawing as it was, and goes on when one does',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/o4");
        $browser->see('[data-drawing=unfolded] [data-piece=head-liner]');
        foreach (['sheet', 'pan', 'liner-left'] as $next) {
            $browser->driver->action()->sendKeys(null, 'p')->perform();
            $browser->see("[data-editor=$next]");
        }
        $places = fn (): array => $browser->driver->executeScript(
            'return [...document.querySelectorAll("[data-editor=liner-left] input")].map((i) => i.value)',
        );
        $before = $places();
        $line = new ChromeDevToolsDriver($browser->driver);
        $line->execute('Network.enable');
        $cut = fn (bool $off) => $line->execute('Network.emulateNetworkConditions', [
            'offline' => $off,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
        $cut(true);
        chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_DOWN);
        $browser->until(
            'return document.querySelector("main [role=alert]")?.textContent.includes("does not answer") === true',
            'that nobody answers',
        );
        expect($places())->toBe($before)->not->toBe([]);
        $cut(false);
        chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_DOWN);
        $browser->until(
            'return document.querySelector("main [role=alert]") === null && document.body.textContent.includes("Edited by hand;")',
            'the piece nudged',
        );
        saved($browser);
        expect($places())->not->toBe($before);
    }),
);

it(
    'gives the crew a card for every step, as a PDF of as many pages and the cut list',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/o4/cards");
        $browser->until(
            'return document.querySelectorAll("[data-card]").length === 10 && document.querySelector("[data-rolls]") !== null',
            'ten cards and the cut list',
        );
        $pan = $browser->text('[data-card="2"]');
        expect($pan)
            ->toContain('1500 mm')
            ->toContain('59-1/16 in')
            ->toContain('the left jamb')
            ->toContain('Caution')
            ->toContain('Only after');
        $browser->driver->action()->sendKeys(null, 'p')->perform();
        $browser->see('[data-print="done"]', 120);
        $pdf = fetched(
            $browser,
            (string) $browser->driver->executeScript(
                'return new URL(document.querySelector("[data-print] a").href).pathname',
            ),
        );
        expect(preg_match_all('~/Type\s*/Page\b(?!s)~', $pdf))->toBe(11);
    }),
);

it(
    'practises the order by keyboard until it can be built, and keeps that',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/d5/try");
        $browser->until('return document.querySelectorAll("[data-order] li").length === 3', 'three steps shuffled');
        $order = fn (): array => array_map(
            intval(...),
            explode(
                ' ',
                (string) $browser->driver->executeScript('return document.querySelector("[data-order]").dataset.order'),
            ),
        );
        $browser->driver->action()->sendKeys(null, WebDriverKeys::ENTER)->perform();
        $browser->until('return document.querySelector("[data-broken]") !== null', 'what a wrong order goes against');
        // By hand: while a step stands after a later one, move it up.
        for ($i = 0; $i < 3; $i++) {
            foreach ([1, 2] as $at) {
                $now = $order();
                if ($now[$at - 1] > $now[$at]) {
                    $browser->surely(
                        fn () => $browser->driver
                            ->findElement(WebDriverBy::cssSelector('[data-order] li:nth-child('.($at + 1).')'))
                            ->click(),
                    );
                    $browser->until(
                        'return document.querySelector("[data-order] li:nth-child('.
                            ($at + 1).
                            ')").getAttribute("aria-current") === "true"',
                    );
                    chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_UP);
                    $browser->until(
                        'return document.querySelector("[data-order]").dataset.order !== '.
                            json_encode(implode(' ', $now)),
                    );
                }
            }
        }
        expect($order())->toBe([1, 2, 3]);
        $browser->driver->action()->sendKeys(null, WebDriverKeys::ENTER)->perform();
        $browser->see('[data-worst=shed]');
        expect($browser->text('aside'))->toContain('This order can be built');
        $browser->driver->action()->sendKeys(null, 'k')->perform();
        $browser->see('[data-kept=d5]');
        expect($browser->text('[data-kept=d5]'))->toContain('in order, 2 tries');
    }),
);

it(
    'works out the joint round the unit as sizes are typed',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/o4/joint");
        $browser->see('[data-row="joinery.sealant"] dt');
        $browser->until('return document.querySelectorAll("[data-depth]").length >= 4', 'the depths of the unit');
        // A joint of 5 mm is too narrow for a frame of this size to move in.
        $browser->surely(
            fn () => $browser->driver
                ->findElement(
                    WebDriverBy::xpath(
                        '//label[contains(., "gap each side")]/following::input[1] | //label[contains(., "gap each side")]//input',
                    ),
                )
                ->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'5 mm'),
        );
        $browser->see('[data-row="joinery.sealant-narrow"] dt');
        expect($browser->text('[data-row="joinery.blocks"] dd'))->toContain('5.0 mm');
    }),
);

it('pins a fault to a wall, by a tap and by keyboard, and shows it on the elevation until it is closed', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->size(390, 844, true);
        $browser->open("/p/$project/site/faults");
        $browser->type('input[name=words]', 'Fish-mouth beside the stair window');
        $wall = $browser->see('[data-pin-picker] select');
        $wall->findElement(WebDriverBy::cssSelector('option[value="reading.wall.0"]'))->click();
        $browser->see('[data-pin-wall="reading.wall.0"]')->click();
        // Tapped in the middle of the drawing; typed to where it was.
        $along = $browser->driver->findElement(
            WebDriverBy::xpath('//*[@data-pin-picker]//label[contains(., "along")]/following::input[1]'),
        );
        $along->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $along->sendKeys('2.8 m');
        $along->sendKeys(WebDriverKeys::ENTER);
        button($browser, 'raise it', WebDriverKeys::ENTER);
        $fault = $browser->see('[data-fault][data-state=open] [data-at="reading.wall.0"]');
        expect($fault->getText())->toContain('2800 mm');
        $browser->until('return document.querySelector("[data-waiting]").dataset.waiting === "0"', 'all sent');
        $events = json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['site']['events'];
        $raised = array_values(array_filter($events, fn (array $e): bool => isset($e['pin'])))[0];
        expect($raised['pin']['x_mm'])->toEqual(2800)->and($raised['pin']['z_mm'])->toBeGreaterThan(500);
        $browser->size(1280, 800);
        $browser->open("/p/$project/transitions");
        $browser->see('[data-drawing=plan]');
        press($browser, 'e');
        $browser->see("[data-drawing=elevation] [data-pin=\"{$raised['id']}\"][data-open=true]");
    });
});
