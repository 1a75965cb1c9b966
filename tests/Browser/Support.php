<?php

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/../../bin/browser.php';

/** Asks the server as the person signed in would, from within the page. */
function fetched(Browser $browser, string $path): string
{
    return base64_decode((string) $browser->driver->executeAsyncScript(
        'const done = arguments[1]; fetch(arguments[0]).then(r => r.arrayBuffer()).then(b => { let s = ""; new Uint8Array(b).forEach(c => { s += String.fromCharCode(c); }); done(btoa(s)); })',
        [$path],
    ));
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

function retype(RemoteWebElement $field, string $text): void
{
    $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
    $field->sendKeys($text);
}

function button(Browser $browser, string $text): RemoteWebElement
{
    $browser->until('return [...document.querySelectorAll("button")].some(b => b.textContent.trim().startsWith('.json_encode($text).'))', "the button “{$text}”");

    return $browser->driver->findElement(WebDriverBy::xpath('//button[starts-with(normalize-space(.), "'.$text.'")]'));
}

function saved(Browser $browser): void
{
    $browser->until('const s = document.querySelector("aside [data-state]"); return s !== null && s.dataset.state === "saved"', 'the sheet to be saved');
}

/** Begins a project from the page of all projects; the page is then its brief. @return string its id */
function beginProject(Browser $browser, string $name, string $units): string
{
    $browser->open('/');
    $browser->see('[name=name]')->sendKeys($name);
    $browser->driver->findElement(WebDriverBy::cssSelector("option[value=$units]"))->click();
    button($browser, 'Begin')->click();
    $browser->until('return /^\/p\/[^/]+\/brief/.test(location.pathname)');

    return explode('/', (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH))[2];
}
