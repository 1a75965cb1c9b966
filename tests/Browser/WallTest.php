<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

/** An answer chosen in a select by its first letters, as one does without a mouse. */
function answered(Browser $browser, string $label, string $letters): void
{
    $browser->surely(
        fn () => $browser->driver
            ->findElement(WebDriverBy::cssSelector("select[aria-label=\"$label\"]"))
            ->sendKeys($letters),
    );
}

it('follows a wall from its board to the cards, by keyboard alone', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $key = null;
        $opening = function () use ($browser, $project, &$key): ?array {
            $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);

            return array_column($file['openings'], null, 'id')[$key] ?? null;
        };
        $board = function (string $typed) use ($browser, $project): void {
            $browser->open("/p/$project/assemblies/w1");
            $browser->surely(
                fn () => $browser->driver
                    ->findElement(WebDriverBy::cssSelector('[data-layer=l3]'))
                    ->sendKeys(WebDriverKeys::ENTER),
            );
            retype($browser, '[data-bench=l3] input', $typed);
            saved($browser);
        };
        $board('50 mm');

        // Which wall, and the way that takes what the wall gives is there at once.
        $browser->open("/p/$project/sequences");
        answered($browser, 'New, in wall', 'Reading');
        button($browser, 'make it', WebDriverKeys::ENTER);
        $browser->until(
            'return document.querySelector("select[aria-label=Method]")?.value === "unit-in-its-wall"',
            'the opening that was made',
        );
        $key = basename((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH));
        $drawn = fn (string $words): string => 'return [...document.querySelectorAll("main input")].some(i => i.value === "'.
            $words.'")';
        $browser->until($drawn('50 mm'), 'the board of the wall');
        // Another unit in the same wall.
        answered($browser, 'held by', 'straps');
        $browser->until('return [...document.querySelectorAll("[data-step]")].some(s => /unit on straps/.test(s.textContent))');
        saved($browser);
        expect($opening())->toMatchArray(['between' => ['w1'], 'generator' => 'unit-in-its-wall'])
            ->and($opening()['parameters'])
            ->not->toHaveKeys(['depth_mm', 'insulation_mm'])
            ->and((float) $opening()['seen']['insulation_mm'])
            ->toBe(50.0);

        // The wall grows: the opening follows, and says so until somebody has looked.
        $board('150 mm');
        $browser->open("/p/$project/sequences/$key");
        $browser->until($drawn('150 mm'), 'the board that the wall has now');
        $browser->until(
            'return [...document.querySelectorAll("[data-finding]")].some(f => f.dataset.finding === "opening.wall-changed")',
            'what has changed',
        );
        answered($browser, 'held by', 'clips');
        $browser->until(
            'return document.querySelector("[data-finding=\'opening.wall-changed\']") === null',
            'looked at',
        );
        saved($browser);
        expect((float) $opening()['seen']['insulation_mm'])->toBe(150.0);

        $browser->driver->findElement(WebDriverBy::tagName('body'))->sendKeys('c');
        $browser->until('return location.pathname.endsWith("/cards")');
        $browser->until('return /150 mm/.test(document.body.textContent) && /clips/.test(document.body.textContent)');
    });
});
