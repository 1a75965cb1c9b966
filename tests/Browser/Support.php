<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/../../bin/browser.php';

/** One person at a browser of their own, closed whatever happens. */
function signedIn(string $who, callable $does): void
{
    $browser = new Browser((string) getenv('APRON_URL'));
    try {
        $browser->signIn($who);
        $does($browser);
    } finally {
        $browser->close();
    }
}

/** Asks the server as the person signed in would, from within the page. */
function fetched(Browser $browser, string $path): string
{
    return base64_decode(
        (string) $browser->driver->executeAsyncScript(
            'const done = arguments[1]; fetch(arguments[0]).then(r => r.arrayBuffer()).then(b => { let s = ""; new Uint8Array(b).forEach(c => { s += String.fromCharCode(c); }); done(btoa(s)); })',
            [$path],
        ),
    );
}

function press(Browser $browser, string ...$keys): void
{
    foreach ($keys as $key) {
        $browser->driver->switchTo()->activeElement()->sendKeys($key);
    }
}

/** Holds one key while another is pressed. */
function chord(Browser $browser, string $held, string $key): void
{
    $browser->driver->action()->keyDown(null, $held)->sendKeys(null, $key)->keyUp(null, $held)->perform();
}

/** Types over what a field holds. */
function retype(Browser $browser, string $selector, string $text): void
{
    $browser->type($selector, WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, $text);
}

/** Presses the button whose words begin so, by mouse or by the key given. */
function button(Browser $browser, string $words, ?string $key = null): void
{
    $browser->until(
        'return [...document.querySelectorAll("button")].some(b => !b.disabled && b.textContent.trim().startsWith('.
            json_encode($words).
            '))',
        "the button “{$words}”",
    );
    $browser->surely(function () use ($browser, $words, $key): void {
        $button = $browser->driver->findElement(
            WebDriverBy::xpath('//button[not(@disabled) and starts-with(normalize-space(.), "'.$words.'")]'),
        );
        $key === null ? $button->click() : $button->sendKeys($key);
    });
}

/**
 * Until something has stood in one place for a run of frames: pressed while the sheet is still laid out, it would be
 * missed.
 */
function still(Browser $browser, string $selector): void
{
    $browser->see($selector);
    $browser->driver->executeAsyncScript(
        'const done = arguments[1]; let last = "", frames = 0; const look = () => { const r = document.querySelector(arguments[0])?.getBoundingClientRect(); const now = r ? `${r.x} ${r.y}` : ""; frames = now !== "" && now === last ? frames + 1 : 0; last = now; if (frames > 20) done(); else requestAnimationFrame(look); }; look()',
        [$selector],
    );
}

function saved(Browser $browser): void
{
    $browser->until(
        'const s = document.querySelector("aside [data-state]"); return s !== null && s.dataset.state === "saved"',
        'the sheet to be saved',
    );
}

/** Takes one of what a list offers, as a person at the keyboard would. */
function choose(Browser $browser, string $label, string $value): void
{
    $browser->until(
        'return document.querySelector(\'select[aria-label="'.
            $label.
            '"] option[value="'.
            $value.
            '"]\') !== null',
        "“{$value}” in the list “{$label}”",
    );
    $browser->driver->executeScript(
        'const s = document.querySelector(\'select[aria-label="\' + arguments[0] + \'"]\'); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, arguments[1]); s.dispatchEvent(new Event("change", { bubbles: true }))',
        [$label, $value],
    );
}

/** Begins a project from the page of all projects; the page is then its brief. @return string its id */
function beginProject(Browser $browser, string $name, string $units): string
{
    $browser->open('/');
    $browser->type('[name=name]', $name);
    $browser->surely(fn () => $browser->driver->findElement(WebDriverBy::cssSelector("option[value=$units]"))->click());
    button($browser, 'Begin');
    $browser->until('return /^\/p\/[^/]+\/brief/.test(location.pathname)');

    return explode('/', (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH))[2];
}

/** A copy of the demo as a project of its own, so that a test may change it. @return string its id */
function copyOfDemo(Browser $browser): string
{
    $browser->open('/');
    $browser->see('a[href^="/p/"]');
    $id = $browser->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[0];
        (async () => {
            const projects = await (await fetch('/api/projects')).json();
            const demo = projects.find((p) => p.name === 'Sallow Lake Library, extension');
            const form = new FormData();
            const file = JSON.parse(await (await fetch(`/api/projects/${demo.id}/export.json`)).text());
            file.project.name = 'A copy';
            delete file.site;
            form.append('file', new File([JSON.stringify(file)], 'project.json'));
            const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
            const headers = { Accept: 'application/json', 'X-XSRF-TOKEN': token };
            const answer = await fetch('/api/projects/import', { method: 'POST', body: form, headers });
            return (await answer.json()).id;
        })().then(done, (e) => done(String(e)));
        JS
        ,
    );

    return (string) $id;
}
