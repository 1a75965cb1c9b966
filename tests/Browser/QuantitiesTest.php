<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

/** What is settled for the quantities of a project, as it is saved by now. */
function takeoffIn(Browser $browser, string $project): array
{
    return json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['takeoff'];
}

it('goes from the building to an order list, by keyboard, and says what has changed since it was sent', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/transitions");
        $browser->see('[data-drawing=plan]');
        press($browser, '6');
        $browser->see('[data-drawing=lying][data-layer=l4] [data-piece="roll 1"]');
        // Outward to the boards, on to the next wall, and to the order.
        press($browser, WebDriverKeys::ARROW_DOWN);
        $browser->see('[data-drawing=lying][data-layer=l5][data-part="stacks.wall.0"]');
        press($browser, WebDriverKeys::ARROW_RIGHT);
        $browser->see('[data-drawing=lying][data-layer=l5][data-part="stacks.wall.1"]');
        press($browser, 'o');
        $rolls = (int) $browser->see('[data-line=membrane-permeable] [data-count]')->getAttribute('data-count');
        expect($rolls)->toBeGreaterThan(2);
        button($browser, 'mark it as sent out', WebDriverKeys::ENTER);
        saved($browser);
        expect(count(takeoffIn($browser, $project)['ordered']))->toBeGreaterThan(10);
        $browser->see('[data-delivery=d1]');
        $csv = fetched($browser, "/api/projects/$project/order.csv");
        expect($csv)->toContain("membrane-permeable,$rolls,roll");
        // A narrower roll is another line of the order.
        $browser->driver->executeScript('document.activeElement.blur()');
        press($browser, 'l');
        $browser->see('[data-layer-form=l5]');
        $browser->see('[data-row="stacks.wall.0 l5"] button')->sendKeys(WebDriverKeys::ENTER);
        $browser->driver->executeScript('document.activeElement.blur()');
        press($browser, WebDriverKeys::ARROW_UP);
        $browser->see('[data-layer-form=l4]');
        $width = $browser->driver->findElement(
            WebDriverBy::xpath('//*[@data-layer-form]//label[contains(., "roll, width")]/following::input[1]'),
        );
        $width->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $width->sendKeys('18 in');
        $width->sendKeys(WebDriverKeys::ENTER);
        saved($browser);
        $browser->driver->executeScript('document.activeElement.blur()');
        press($browser, 'o');
        expect($browser->see('[data-changes]')->getText())->toContain('Self-adhered SBS membrane');
        expect(array_column(takeoffIn($browser, $project)['layers'], 'roll_m', 'layer')['l4'][0])
            ->toEqualWithDelta(0.4572, 1e-6);
    });
});

it('judges a course that is moved by key, and puts it back', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/quantities");
        $browser->see('[data-drawing=lying][data-layer=l4]');
        press($browser, 'j');
        $browser->see('[data-chosen-joint]');
        // The keys of a hurried hand: eight times ten millimetres take more than the lap there is.
        for ($i = 0; $i < 8; $i++) {
            chord($browser, WebDriverKeys::ALT, WebDriverKeys::ARROW_UP);
        }
        $browser->see('[data-finding^="takeoff.gap"]');
        saved($browser);
        expect(takeoffIn($browser, $project)['moved'])->toBe([
            ['part' => 'stacks.wall.0', 'layer' => 'l4', 'course' => 1, 'at_mm' => 919],
        ]);
        press($browser, WebDriverKeys::DELETE);
        $browser->until('return !document.querySelector(\'[data-finding^="takeoff."]\')', 'nothing left to say');
        saved($browser);
        expect(takeoffIn($browser, $project))->not->toHaveKey('moved');
    });
});

it('packs a wall from its string line, and keeps a line that cannot be read', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/quantities");
        $browser->see('[data-drawing=lying]');
        press($browser, 'p');
        $browser->see('[data-plane="stacks.wall.0"] [data-packing]');
        $lines = $browser->see('textarea[aria-label="String line"]');
        $lines->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $lines->sendKeys("400, 1200, -3\n1800, 1200, out");
        button($browser, 'put them there', WebDriverKeys::ENTER);
        expect($browser->see('[data-table="String line"] [role=alert]')->getText())->toContain('line 2');
        $lines->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $lines->sendKeys("400, 1200, -3\n1800, 1200, 4");
        button($browser, 'put them there', WebDriverKeys::ENTER);
        $browser->see('[data-mark="9 mm"]');
        saved($browser);
        expect(takeoffIn($browser, $project)['surveys'][0]['points'])->toHaveCount(2);
    });
});
