<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it(
    'runs the rain on an opening by keyboard, step by step, and dresses it another way',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/sequences/o4");
        $browser->see('[data-drawing=unfolded] [data-piece=head-liner]');
        $browser->until(
            'return document.querySelectorAll("[data-stop]").length === 3',
            'the three last steps as stopping points',
        );
        expect($browser->text('aside'))->toContain('Only the bond of slit tape');

        // Rain on the finished opening: two tapes that hold by their bond, no failure; the strips are walked with the
        // brackets.
        $browser->driver->action()->sendKeys(null, 'r')->perform();
        $browser->until(
            'return document.querySelectorAll("[data-water=\"relies on bond\"]").length > 0 && document.querySelectorAll("[data-water=\"wets substrate\"]").length === 0',
        );
        $browser->driver->action()->sendKeys(null, ']')->perform();
        $browser->see('aside [data-strip]');

        // The drawing as a file of its own: well formed, its colours written out, to scale, with what is drawn on the
        // screen.
        $browser->driver->executeScript(
            'const url = URL.createObjectURL; URL.createObjectURL = (blob) => { blob.text().then((t) => { window.saved = t; }); return url(blob); }',
        );
        $browser->driver->action()->sendKeys(null, 'd')->perform();
        $browser->until('return window.saved !== undefined', 'the drawing as a file');
        $svg = new SimpleXMLElement((string) $browser->driver->executeScript('return window.saved'));
        expect((string) $svg['width'])
            ->toEndWith('mm')
            ->and($svg->asXML())
            ->not->toContain('var(')
            ->not->toContain('class=')
            ->and(count($svg->xpath('//*[@data-piece]')))
            ->toBe(
                $browser->driver->executeScript(
                    'return document.querySelectorAll("[data-drawing] [data-piece]").length',
                ),
            )
            ->and(implode(' ', array_map(strval(...), $svg->xpath('//*[local-name()="text"]'))))
            ->toContain('after step');

        // Before the flap is down it is not to be left: water gets to the bare wall above the head strip.
        $browser->driver->action()->sendKeys(null, WebDriverKeys::HOME)->perform();
        foreach (range(1, 6) as $ignored) {
            $browser->driver->action()->sendKeys(null, WebDriverKeys::ARROW_RIGHT)->perform();
        }
        $browser->see('[data-step="7"][aria-current=step]');
        $browser->until(
            'return document.querySelectorAll("[data-water=\"wets substrate\"]").length > 0 && document.querySelector("aside [data-tonight=false]") !== null',
        );

        // In a self-adhered membrane lapped at the head nothing relies on a bond.
        choose($browser, 'Method', 'flanged-unit-in-self-adhered');
        $browser->see('[data-piece=course-above]');
        $browser->until('return document.querySelector("aside [data-finding=\"detail.sound\"]") !== null');
        saved($browser);
        expect($browser->text('aside'))->toContain('The rain finds no way in');

        // The head strip cut lower than the foot of the course above: water falls on the head liner and crosses onto
        // the strip by its bond; undo brings it back.
        foreach (
            [
                'field',
                'pan',
                'liner-left',
                'liner-right',
                'head-liner',
                'unit',
                'jamb-strip-left',
                'jamb-strip-right',
                'head-strip',
            ] as $next
        ) {
            $browser->driver->action()->sendKeys(null, 'p')->perform();
            $browser->see("[data-editor=$next]");
        }
        $browser->surely(
            fn () => $browser->driver
                ->findElement(
                    WebDriverBy::xpath(
                        '//*[@data-patch-editor="head-strip.face"]//label[starts-with(normalize-space(.), "top")]//input',
                    ),
                )
                ->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'1520 mm'),
        );
        $browser->until(
            'return document.querySelectorAll("[data-water=\"relies on bond\"]").length > 0',
            'rain held by the bond of the shortened strip',
        );
        saved($browser);
        $browser->driver->executeScript('document.activeElement.blur()');
        chord($browser, WebDriverKeys::CONTROL, 'z');
        $browser->until(
            'return document.querySelectorAll("[data-water=\"relies on bond\"]").length === 0 && document.querySelectorAll("[data-water]").length > 0',
            'the rain as it was',
        );
    }),
);
