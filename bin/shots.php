<?php

declare(strict_types=1);

// ./apron shots : one picture of each main view, from the demo.

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/browser.php';

$folder = getenv('APRON_SHOTS') ?: dirname(__DIR__).'/docs/screenshots';
@mkdir($folder, 0777, true);
$only = array_slice($argv, 1);
$browser = new Browser((string) getenv('APRON_URL'));
$browser->signIn('consultant');
$browser->click('a[href^="/p/"]');
$browser->until('return /^\/p\/[^/]+\/brief/.test(location.pathname)');
$project = explode('/', (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH))[2];

// A project that nobody has said anything of yet.
$fresh = (string) $browser->driver->executeAsyncScript(
    'const done = arguments[0]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]); fetch("/api/projects", { method: "POST", body: JSON.stringify({ name: "Boathouse", units: "si" }), headers: { "Content-Type": "application/json", Accept: "application/json", "X-XSRF-TOKEN": token } }).then((r) => r.json()).then((p) => done(p.id))',
);

$views = [
    'first-minute' => ['brief', '[data-first-minute] [data-climate]', null],
    'brief' => ['brief', '[data-line="indoor dew point"]', null],
    'assembly' => ['assemblies/w1?layer=l3', '[data-figure=u]', null],
    'hours' => [
        'assemblies/w2/hours',
        '[data-film]',
        null,
    ],
    'joints' => [
        'assemblies/w2/joints',
        '[data-isotherm]',
        'document.querySelector("fieldset button.act").click()',
        '[data-way] button',
    ],
    'beside' => ['assemblies/w2/beside', '[data-beside="w2.c"]', null],
    'materials' => ['materials/smart-film-nylon', '[data-material="smart-film-nylon"]', null],
    'findings' => ['findings', '[data-finding]', null],
    'sequence' => ['sequences/o4', '[data-drawing=unfolded]', 'document.querySelector("[data-step=\"6\"]").click()'],
    'rain' => [
        'sequences/o4',
        '[data-drawing=unfolded]',
        'document.querySelector("[data-step=\\"7\\"]").click(); [...document.querySelectorAll("button")].find((b) => b.textContent.startsWith("run the rain")).click()',
    ],
    'contacts' => ['contacts', '[data-contact]', 'document.querySelector("[data-contact]").click()'],
    'transitions' => [
        'transitions',
        '[data-matrix]',
        '[...document.querySelectorAll("[data-drawings] button")].find((b) => b.textContent.startsWith("section 3")).click(); document.querySelector("[data-kind=\\"wall-above-roof\\"] button").click()',
        '[data-drawing=cut]',
    ],
    'cards' => [
        'sequences/o4/cards',
        '[data-card]',
        'document.querySelector("[data-card=\"3\"]").parentElement.scrollIntoView()',
    ],
    'quantities' => [
        'quantities',
        '[data-drawing=lying] [data-piece]',
        '[...document.querySelectorAll("button")].find((b) => b.textContent.startsWith("Mineral wool board")).click()',
        '[data-layer-form=l5]',
    ],
    'calendar' => ['calendar', '[data-drawing="open days"] [data-clock]', null],
    'practice' => [
        'sequences/o4/try?seed=2',
        '[data-order] li',
        '[...document.querySelectorAll("button")].find((b) => b.textContent.startsWith("run the rain")).click()',
        '[data-worst]',
    ],
    'site' => ['site', '[data-drawing=unfolded]', null],
    'report' => ['report', 'button.act:enabled', null],
    'phone-reading' => [
        'site/check/o4.head-strip-past-jamb.left',
        '[data-drawing=unfolded]',
        '[["4"],["6"],["mm"]].forEach(([k]) => document.querySelector(`button[aria-label="${k}"]`).click())',
    ],
];
// A wall that the worker has taken through three years.
if ($only === [] || in_array('hours', $only, true)) {
    $browser->open("/p/$project/assemblies/w2/hours");
    $browser->until('return /Nothing has been run/.test(document.body.innerText)');
    $browser->click('h1 ~ p button.act');
    $browser->see('[data-run-form]');
    $browser->click('[data-run-state=none] button.act:not(:disabled)');
    $browser->see('[data-run-state=done]');
    $browser->see('[data-film]');
}

// The best place of a unit in it, kept.
if ($only === [] || in_array('joints', $only, true)) {
    $browser->open("/p/$project/assemblies/w2/joints");
    $browser->click('fieldset button.act');
    $browser->click('[data-way] button');
    $browser->see('[data-isotherm]');
}

foreach ($views as $name => $view) {
    [$path, $wait, $script] = $view;
    if ($only !== [] && ! in_array($name, $only, true)) {
        continue;
    }
    str_starts_with($name, 'phone') ? $browser->size(390, 844, true) : $browser->size(1280, 800);
    $browser->open('/p/'.($name === 'first-minute' ? $fresh : $project)."/$path");
    $browser->see($wait);
    $browser->until(
        'return document.fonts.status === "loaded" && !/opening the sheet|assessing|looking for what/.test(document.body.innerText)',
    );
    if ($script !== null) {
        $browser->driver->executeScript($script);
        $browser->see($view[3] ?? $wait);
        $browser->until(
            'return !/looking for what/.test(document.body.innerText) && document.getAnimations().length === 0',
        );
        // Water begins to run when it has been drawn: once more, when that may have begun.
        $browser->driver->executeAsyncScript(
            'const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => done()))',
        );
        $browser->until('return document.getAnimations().length === 0');
    }
    // Two frames after the last change everything is painted.
    $browser->driver->executeAsyncScript(
        'const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => done()))',
    );
    $browser->driver->takeScreenshot("$folder/$name.png");
    echo "$name.png\n";
}
$browser->close();
