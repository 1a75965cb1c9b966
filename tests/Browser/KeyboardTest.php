<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

/** What the drawing says of its layers, inside to outside. @return list<string> */
function drawn(Browser $browser): array
{
    return $browser->driver->executeScript(
        'return [...document.querySelectorAll("[data-drawing=section] [role=option]")].map(o => o.getAttribute("aria-label"))',
    );
}

function drawnIs(Browser $browser, array $expected): void
{
    $browser->until(
        'return JSON.stringify([...document.querySelectorAll("[data-drawing=section] [role=option]")].map(o => o.getAttribute("aria-label"))) === '.
            json_encode(json_encode($expected, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)),
        implode(' | ', $expected).', and not '.implode(' | ', drawn($browser)),
    );
}

it(
    'builds a wall on the drawing by keyboard alone',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = beginProject($browser, 'Keyboard', 'si');
        $browser->open("/p/$project/assemblies");
        button($browser, 'new assembly', WebDriverKeys::ENTER);
        $browser->see('[data-drawing=section] [role=option]');

        // Tab leads into the drawing.
        for (
            $i = 0;
            $i < 40 &&
            $browser->driver->executeScript('return document.activeElement.getAttribute("role")') !== 'option';
            $i++
        ) {
            press($browser, WebDriverKeys::TAB);
        }
        drawnIs($browser, ['Gypsum board, 12.7 mm', 'Mineral wool board, semi-rigid, 100 mm, carries heat']);

        // To the wool; type its thickness in inches; Enter leads back to the drawing.
        $browser->driver->action()->sendKeys(null, WebDriverKeys::ARROW_RIGHT)->perform();
        $browser->until('return document.activeElement.dataset.layer === "l2"');
        $browser->driver->action()->sendKeys(null, '5')->perform();
        $browser->until(
            'return document.activeElement.tagName === "INPUT" && document.activeElement.value === "5"',
            'the typed figure in its field',
        );
        press($browser, '-1/2 in', WebDriverKeys::ENTER);
        drawnIs($browser, ['Gypsum board, 12.7 mm', 'Mineral wool board, semi-rigid, 139.7 mm, carries heat']);
        $browser->until('return document.activeElement.dataset.layer === "l2"', 'the focus back on the layer');

        // A new layer outside of it, moved inward, given a control; then another material for it.
        $browser->driver->action()->sendKeys(null, 'n')->perform();
        $browser->see('[role=combobox]');
        press($browser, 'oriented', WebDriverKeys::ENTER);
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
            'Oriented strand board, 11 mm',
        ]);
        $browser->until(
            'return document.activeElement.getAttribute("aria-label") === "Oriented strand board, 11 mm"',
            'the focus on the new layer',
        );
        chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_LEFT);
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Oriented strand board, 11 mm',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);
        chord($browser, WebDriverKeys::SHIFT, 'a');
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Oriented strand board, 11 mm, carries air',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);
        $browser->driver->action()->sendKeys(null, 'm')->perform();
        $browser->see('[role=combobox]');
        press($browser, 'plyw', WebDriverKeys::ENTER);
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Plywood, 11 mm, carries air',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);

        // The figure typed key by key is undone as one.
        $browser->until('return document.activeElement.getAttribute("role") === "option"', 'the focus on the drawing');
        $browser->driver->action()->sendKeys(null, '1')->perform();
        $browser->until('return document.activeElement.tagName === "INPUT"');
        press($browser, '8 mm', WebDriverKeys::ENTER);
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Plywood, 18 mm, carries air',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);
        $browser->until('return document.activeElement.getAttribute("role") === "option"', 'the focus on the drawing');
        chord($browser, WebDriverKeys::CONTROL, 'z');
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Plywood, 11 mm, carries air',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);

        // Out, and back by undo, and out again by redo, and back.
        $browser->driver->action()->sendKeys(null, WebDriverKeys::DELETE)->perform();
        drawnIs($browser, ['Gypsum board, 12.7 mm', 'Mineral wool board, semi-rigid, 139.7 mm, carries heat']);
        chord($browser, WebDriverKeys::CONTROL, 'z');
        drawnIs($browser, [
            'Gypsum board, 12.7 mm',
            'Plywood, 11 mm, carries air',
            'Mineral wool board, semi-rigid, 139.7 mm, carries heat',
        ]);
        $browser->driver
            ->action()
            ->keyDown(null, WebDriverKeys::CONTROL)
            ->keyDown(null, WebDriverKeys::SHIFT)
            ->sendKeys(null, 'z')
            ->keyUp(null, WebDriverKeys::SHIFT)
            ->keyUp(null, WebDriverKeys::CONTROL)
            ->perform();
        drawnIs($browser, ['Gypsum board, 12.7 mm', 'Mineral wool board, semi-rigid, 139.7 mm, carries heat']);
        chord($browser, WebDriverKeys::CONTROL, 'z');
        saved($browser);
        $layers = json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['assemblies'][0]['layers'];
        expect(array_column($layers, 'material'))
            ->toBe(['gypsum-board', 'plywood', 'mineral-wool-board'])
            ->and($layers[2]['thickness_typed'])
            ->toBe('5-1/2 in');

        // What cannot be read keeps what was typed and says why; the wall stays as it was.
        $browser->driver->executeScript('document.querySelector("[data-layer=l2]").focus()');
        $browser->until('return document.activeElement.dataset.layer === "l2"');
        $browser->driver->action()->sendKeys(null, '7')->perform();
        $browser->until('return document.activeElement.tagName === "INPUT"');
        press($browser, ' furlongs');
        $browser->until(
            'const w = document.querySelector("[data-bench=l2] [role=alert]"); return w !== null && w.textContent.includes("7 furlongs")',
            'the reason',
        );
        expect($browser->see('[data-bench=l2] input')->getAttribute('value'))->toBe('7 furlongs');
        $browser->until(
            'return document.querySelector("[data-layer=l2]").getAttribute("aria-label").includes("139.7 mm")',
            'the wall as it was before',
        );
    }),
);
