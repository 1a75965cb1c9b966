<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';

const PAGES = [
    'brief',
    'assemblies/w1',
    'assemblies/w1?layer=l3',
    'assemblies/w1/beside',
    'assemblies/w2/climates',
    'assemblies/w2/hours',
    'assemblies/w1/joints',
    'others',
    'materials',
    'materials/mineral-wool-board',
    'sequences/o4',
    'sequences/o4/cards',
    'sequences/o4/joint',
    'sequences/o4/try',
    'site',
    'site/faults',
    'site/check/o4.pan-upturn.left',
    'report',
    'findings',
    'contacts',
    'transitions',
    'quantities',
    'calendar',
    'tests',
    'record',
    'issued',
];

/** Pages of no project. */
const ROUND = ['/account', '/people', '/password', '/password?email=a%40case.test&token=x'];

/** A script: the page holds more than its frame. */
const THERE = 'return (document.querySelector("main, [data-mode=site]")?.innerText ?? "").trim().length > 30 && !document.body.innerText.includes("opening the sheet")';

/** What axe calls serious or critical on the page that is open. @return list<string> */
function serious(Browser $browser): array
{
    $browser->driver->executeScript((string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js'));
    $found = $browser->driver->executeAsyncScript(
        'const done = arguments[0]; axe.run(document, { resultTypes: ["violations"] }).then((r) => done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => v.id + ": " + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160)).join(" | "))), (e) => done([String(e)]))',
    );

    return array_map(strval(...), $found);
}

it(
    'has nothing serious for axe on any page, on a desk and on a phone',
    fn () => signedIn('consultant', function (Browser $browser) {
        $browser->see('a[href^="/p/"]');
        $found = ['all projects' => serious($browser)];
        $project = copyOfDemo($browser);
        foreach ([[1280, 800, false], [390, 844, true]] as [$width, $height, $phone]) {
            $browser->size($width, $height, $phone);
            foreach (ROUND as $page) {
                $browser->open($page);
                $browser->until(THERE, "$page to be there");
                $found["$page at $width"] = serious($browser);
            }
            foreach (PAGES as $page) {
                $browser->open("/p/$project/$page");
                $browser->until(THERE, "$page to be there");
                $found["$page at $width"] = serious($browser);
            }
        }
        expect(array_filter($found))->toBe([]);
    }),
);

it(
    'reads on a phone: no page is wider than the screen',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->size(390, 844, true);
        $wide = [];
        foreach (PAGES as $page) {
            $browser->open("/p/$project/$page");
            $browser->until(THERE, "$page to be there");
            $width = $browser->driver->executeScript('return document.documentElement.scrollWidth');
            if ($width > 390) {
                $wide[$page] = $width;
            }
        }
        expect($wide)->toBe([]);
    }),
);

it(
    'keeps what was typed where a page stops, and goes on',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w1?layer=l3");
        retype($browser, '[data-bench=l3] input', '17');
        // An answer to this that came while the fault is there would be lost on it.
        saved($browser);
        // The next drawing of the page fails, as one fault in it would.
        $browser->driver->executeScript(
            'const find = Array.prototype.findIndex; window.mend = () => { Array.prototype.findIndex = find; }; Array.prototype.findIndex = () => { throw new Error("a fault of the page"); };',
        );
        (new Facebook\WebDriver\Chrome\ChromeDevToolsDriver($browser->driver))->execute('Input.insertText', [
            'text' => '5',
        ]);
        $browser->until('return document.querySelector("[data-broken-page]") !== null', 'the page to stop');
        $browser->driver->executeScript('window.mend()');
        button($browser, 'go on');
        $browser->until('return document.querySelector("[data-drawing=section]") !== null', 'the page to be back');
        $saved = fn (): mixed => json_decode(fetched($browser, "/api/projects/$project/export.json"), true)[
            'assemblies'
        ][0]['layers'][2]['thickness_mm'];
        $until = microtime(true) + 20;
        while ($saved() !== 175 && microtime(true) < $until) {
            usleep(200000);
        }
        expect($saved())->toBe(175);
    }),
);

it('shows who leads the crew the cards, the quantities and the calendar, and opens there', function () {
    signedIn('crew', function (Browser $browser): void {
        $browser->click('a[href^="/p/"]');
        $browser->see('nav[aria-label=Steps] a[href$="/calendar"]');
        $path = (string) $browser->driver->executeScript('return location.pathname');
        expect($path)->toContain('/sequences');
        $steps = 'return [...document.querySelectorAll("nav[aria-label=Steps] a")].slice(1).map((a) => a.pathname.split("/")[3])';
        expect($browser->driver->executeScript($steps))->toBe(['sequences', 'quantities', 'calendar', 'record']);
        // The address of another step leads back to the first of theirs.
        $browser->open(substr($path, 0, (int) strpos($path, '/sequences')).'/brief');
        $browser->until('return location.pathname.endsWith("/sequences")', 'their own steps');
        press($browser, '6');
        $browser->until('return location.pathname.endsWith("/quantities")', 'the quantities');
    });
});
