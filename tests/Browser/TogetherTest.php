<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

/** A project with one wall, made by the consultant whose browser this is. */
function wallIn(Browser $browser, string $name): string
{
    $project = beginProject($browser, $name, 'si');
    $browser->open("/p/$project/assemblies");
    button($browser, 'new assembly');
    $browser->see('[data-layer=l2]');

    return $project;
}

function thickness(Browser $browser, string $typed): void
{
    $browser->click('[data-layer=l2]');
    retype($browser, '[data-bench=l2] input', $typed);
}

/** Two people at browsers of their own. */
function twoPeople(callable $do): void
{
    signedIn('consultant', fn (Browser $one) => signedIn('consultant', fn (Browser $other) => $do($one, $other)));
}

it(
    'shows both sides when two people change one wall, and takes either',
    fn () => twoPeople(function (Browser $one, Browser $other) {
        $project = wallIn($one, 'Two people');
        $other->open("/p/$project/assemblies/w1");
        $other->see('[data-layer=l2]');

        thickness($one, '120 mm');
        saved($one);
        thickness($other, '150 mm');
        $other->see('[role=alert]');
        expect($other->text('[role=alert]'))->toContain('saved by somebody else as revision 2');
        button($other, 'keep mine');
        saved($other);

        thickness($one, '90 mm');
        $one->see('[role=alert]');
        button($one, 'take theirs');
        $one->until(
            'return document.querySelector("[data-layer=l2]").getAttribute("aria-label").includes("150 mm")',
            'the other’s thickness',
        );
        saved($one);
        expect(
            json_decode(fetched($one, "/api/projects/$project/export.json"), true)['assemblies'][0]['layers'][1][
                'thickness_mm'
            ],
        )->toBe(150);
    }),
);

it(
    'shows both sides when two people change one opening of the schedule, and takes either',
    fn () => twoPeople(function (Browser $one, Browser $other) {
        $project = copyOfDemo($one);
        $wide = function (Browser $browser, string $typed): void {
            retype($browser, 'main input[inputmode=text]', $typed);
            press($browser, WebDriverKeys::ENTER);
            // The server makes the pieces first; until they are drawn nothing is changed, and what was saved before
            // still is.
            $browser->until(
                'return document.querySelector("[data-drawing=unfolded]").textContent.includes('.
                    json_encode($typed).
                    ')',
                "a drawing {$typed} wide",
            );
        };
        foreach ([$one, $other] as $browser) {
            $browser->open("/p/$project/sequences/o11");
            $browser->see('[data-drawing=unfolded] [data-piece]');
        }
        $wide($one, '700 mm');
        saved($one);
        $wide($other, '800 mm');
        $other->see('[role=alert]');
        expect($other->text('[role=alert]'))->toContain('saved by somebody else');
        button($other, 'keep mine');
        saved($other);

        $wide($one, '650 mm');
        $one->see('[role=alert]');
        button($one, 'take theirs');
        $one->until(
            'return document.querySelector("main input[inputmode=text]").value === "800 mm"',
            'the other’s width',
        );
        saved($one);
        $rows = array_column(
            json_decode(fetched($one, "/api/projects/$project/export.json"), true)['openings'],
            'parameters',
            'id',
        );
        expect($rows['o11']['width_mm'])->toEqual(800);
    }),
);

it(
    'drags a layer to another place on the drawing, and follows a thread',
    fn () => signedIn('consultant', function (Browser $browser) {
        wallIn($browser, 'Dragged');
        $wool = $browser->driver->findElement(WebDriverBy::cssSelector('[data-layer=l2] [data-hit]'));
        $browser->driver
            ->action()
            ->moveToElement($wool)
            ->clickAndHold()
            ->moveByOffset(-200, 0)
            ->moveByOffset(-200, 0)
            ->release()
            ->perform();
        $browser->until(
            'return [...document.querySelectorAll("[role=option]")].map(o => o.dataset.layer).join() === "l2,l1"',
            'the wool inside the board',
        );
        saved($browser);
        expect(
            $browser->driver->executeScript(
                'return document.querySelector("[data-thread=heat]").getAttribute("opacity")',
            ),
        )->toBe('1');
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->driver->action()->sendKeys(null, 'w')->perform();
        $browser->until(
            'return document.querySelector("[data-thread=heat]").getAttribute("opacity") === "0.2"',
            'the other threads to recede',
        );
        $browser->driver->action()->sendKeys(null, 'w')->perform();
        $browser->until(
            'return document.querySelector("[data-thread=heat]").getAttribute("opacity") === "1"',
            'all threads back',
        );

        // Taken out of the project, after being asked.
        $browser->driver->navigate()->refresh();
        button($browser, 'remove');
        button($browser, 'Remove it');
        $browser->until(
            'return document.querySelector("main").innerText.includes("No wall or roof yet")',
            'the wall to be gone',
        );
    }),
);

it(
    'goes everywhere by single keys',
    fn () => signedIn('consultant', function (Browser $browser) {
        $browser->see('a[href^="/p/"]');
        $demo = $browser->driver->executeScript(
            'return [...document.querySelectorAll("a")].find(a => a.textContent.startsWith("Sallow")).pathname.split("/")[2]',
        );
        $browser->open("/p/$demo/brief");
        $browser->see('[data-line="indoor dew point"]');
        // The address is there before its page is: a key belongs to the page that says it is the one.
        $here = function (string $end) use ($browser): void {
            $browser->until('return location.pathname.endsWith('.json_encode($end).')', $end);
            if (substr_count($end, '/') === 1) {
                $browser->see("nav [aria-current=page][href\$='$end']");
            }
        };
        $key = fn (string $key) => $browser->driver->action()->sendKeys(null, $key)->perform();
        foreach (
            [
                '3' => '/contacts',
                '4' => '/transitions',
                '6' => '/quantities',
                '7' => '/calendar',
                '9' => '/tests',
                '0' => '/report',
                '8' => '/site',
                '5' => '/sequences',
                '2' => '/assemblies',
            ] as $press => $end
        ) {
            $key((string) $press);
            $here($end);
        }
        $browser->until(
            'return /\\d/.test(document.querySelector("nav a[href$=findings]").textContent)',
            'the findings to be counted',
        );
        $key('f');
        $here('/assemblies/w2');
        $key('u');
        $browser->until(
            'return [...document.querySelectorAll("footer button")].some(b => b.textContent.includes("in · R"))',
            'inches',
        );
        $key('/');
        $browser->type('[role=dialog] input', 'reading room window');
        press($browser, "\u{E007}");
        $here('/sequences/o4');
        $key('?');
        expect($browser->text('[role=dialog]'))->toContain('a step back, a step on');
    }),
);

it(
    'shows both sides when two people change one building, and takes either',
    fn () => twoPeople(function (Browser $one, Browser $other) {
        $project = copyOfDemo($one);
        $high = function (Browser $browser, string $typed): void {
            $top = $browser->driver->findElement(
                WebDriverBy::xpath('//fieldset[@data-block="reading"]//label[normalize-space()="to"]/following::input[1]'),
            );
            $top->sendKeys([WebDriverKeys::CONTROL, 'a']);
            $top->sendKeys($typed);
            $top->sendKeys(WebDriverKeys::ENTER);
        };
        foreach ([$one, $other] as $browser) {
            $browser->open("/p/$project/transitions");
            $browser->see('fieldset[data-block=reading]');
        }
        $high($one, '4000 mm');
        saved($one);
        $high($other, '4200 mm');
        $other->see('[role=alert]');
        expect($other->text('[role=alert]'))->toContain('saved by somebody else');
        button($other, 'keep mine');
        saved($other);
        $high($one, '3900 mm');
        $one->see('[role=alert]');
        button($one, 'take theirs');
        saved($one);
        $blocks = json_decode(fetched($one, "/api/projects/$project/export.json"), true)['building']['blocks'];
        expect(array_column($blocks, 'top_mm', 'id')['reading'])->toEqual(4200);
    }),
);

it(
    'lets an inspector look at everything and write only what is seen on site, with no signal too',
    fn () => signedIn('inspector', function (Browser $browser) {
        $browser->see('a[href^="/p/"]');
        expect($browser->driver->findElements(WebDriverBy::name('name')))->toBe([]);
        $demo = $browser->driver->executeScript(
            'return [...document.querySelectorAll("a")].find(a => a.textContent.startsWith("Sallow")).pathname.split("/")[2]',
        );
        $browser->open("/p/$demo/assemblies/w1?layer=l3");
        expect($browser->see('[data-bench=l3] input')->isEnabled())
            ->toBeFalse()
            ->and($browser->text('aside'))
            ->toContain('You may look at this and not change it.');

        $browser->size(390, 844, true);
        $browser->open("/p/$demo/site/check/o4.slit-tape-side.left");
        $browser->see('[data-drawing=unfolded]');
        $network = new ChromeDevToolsDriver($browser->driver);
        $signal = fn (bool $on) => $network->execute('Network.emulateNetworkConditions', [
            'offline' => ! $on,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
        $network->execute('Network.enable');
        $signal(false);
        foreach (['7', '2'] as $digit) {
            $browser->click("button[aria-label=\"$digit\"]");
        }
        button($browser, 'keep, next');
        $browser->until(
            'return document.querySelector("[data-waiting]").dataset.waiting !== "0"',
            'the reading to wait',
        );
        expect($browser->text('[data-waiting]'))->toContain('waiting to send')->toContain('no signal');
        $signal(true);
        $browser->until('return document.querySelector("[data-waiting]").dataset.waiting === "0"', 'both to be sent');
        $events = json_decode(fetched($browser, "/api/projects/$demo/export.json"), true)['site']['events'];
        expect(end($events))->toMatchArray([
            'check' => 'o4.slit-tape-side.left',
            'value_mm' => 72,
            'by' => 'Tomas Wren',
        ]);
    }),
);
