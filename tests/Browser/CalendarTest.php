<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

/** The plan of a project as it is saved by now. */
function planIn(Browser $browser, string $project): array
{
    return json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['plan'];
}

it('shows the clock that has run out, and stops it by bringing the cover forward, by keyboard', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        $browser->driver->action()->sendKeys(null, '7')->perform();
        $browser->see('[data-drawing="open days"] [data-clock="stacks.w2.3"][data-over=true]');
        expect($browser->see('[data-finding^="plan.sun-over"]')->getText())->toContain('90');
        // Down to the boards, the sixth task, and a fortnight earlier: the keys of a hurried hand.
        for ($i = 0; $i < 6; $i++) {
            $browser->driver->action()->sendKeys(null, WebDriverKeys::ARROW_DOWN)->perform();
        }
        $browser->see('[data-task-form="stacks.w2.4"]');
        for ($i = 0; $i < 14; $i++) {
            $browser->driver->action()->sendKeys(null, WebDriverKeys::ARROW_LEFT)->perform();
        }
        $browser->see('[data-clock="stacks.w2.3"][data-over=false]');
        saved($browser);
        $task = array_column(planIn($browser, $project)['tasks'], null, 'id')['stacks.w2.4'];
        expect($task['not_before'] < '2027-07-14')->toBeTrue();
        $browser->driver->action()->keyDown(null, WebDriverKeys::CONTROL)->sendKeys(null, 'z')
            ->keyUp(null, WebDriverKeys::CONTROL)->perform();
        $browser->see('[data-clock="stacks.w2.3"][data-over=true]');
        saved($browser);
    });
});

it('begins a plan with the walls of the building, adds a task, and keeps what cannot be read', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        $browser->driver->executeAsyncScript(
            'const done = arguments[1]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'.
                ' fetch(arguments[0], { method: "DELETE", body: JSON.stringify({ revision: 1 }), headers: { "Content-Type":'.
                ' "application/json", Accept: "application/json", "X-XSRF-TOKEN": token } }).then((r) => done(r.status))',
            ["/api/projects/$project/documents/plan/plan"],
        );
        $browser->open("/p/$project/calendar");
        $browser->see('[aria-label="First day"]');
        button($browser, 'plan the walls', WebDriverKeys::ENTER);
        $browser->see('[data-row="stacks.w2.3"]');
        saved($browser);
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->driver->action()->sendKeys(null, 'n')->perform();
        $browser->see('[data-task-form=t1]');
        retype($browser, '[aria-label="Waits for"]', 'stacks.w2.3 + 36h, nobody');
        expect($browser->see('[data-task-form] [role=alert]')->getText())->toContain('nobody');
        expect($browser->see('[aria-label="Waits for"]')->getAttribute('value'))->toBe('stacks.w2.3 + 36h, nobody');
        retype($browser, '[aria-label="Waits for"]', 'stacks.w2.3 + 36h');
        $browser->until('return document.querySelector("[data-task-form] [role=alert]") === null');
        saved($browser);
        $task = array_column(planIn($browser, $project)['tasks'], null, 'id')['t1'];
        expect($task['after'])->toBe([['task' => 'stacks.w2.3', 'wait_h' => 36]]);
        // What it waits for cannot wait for it.
        $browser->driver->executeScript('document.querySelector("[data-row=\'stacks.w2.3\'] button").click()');
        $browser->see('[data-task-form="stacks.w2.3"]');
        retype($browser, '[aria-label="Waits for"]', 't1');
        expect($browser->see('[data-task-form] [role=alert]')->getText())->toContain('no other task');
    });
});

it('opens a day for who leads the crew, with what the weather stops and which papers to have', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/calendar");
        $browser->see('[data-sky="simulated-station"]');
        press($browser, 'd');
        $browser->see('[data-day="2027-04-23"] [data-does="reading.w1.dressed"]');
        expect($browser->see('[data-papers]')->getText())
            ->toContain('Stair window')
            ->and($browser->see('[data-weather]')->getText())
            ->toContain('simulated');
        // A wet Friday in place of the dry one: what sticks stops.
        $browser->see('[data-forecast] summary')->sendKeys(WebDriverKeys::ENTER);
        $lines = $browser->see('textarea[aria-label=Forecast]');
        $lines->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $lines->sendKeys('2027-04-23, 4, 9, 12, 90, 3');
        button($browser, 'put them there', WebDriverKeys::ENTER);
        $browser->see('[data-sky="forecast"]');
        saved($browser);
        expect(planIn($browser, $project))
            ->not->toHaveKey('forecast_by')
            ->and(planIn($browser, $project)['forecast'])
            ->toHaveCount(1);
        button($browser, 'ask the simulated station', WebDriverKeys::ENTER);
        $browser->see('[data-sky="simulated-station"]');
        saved($browser);
        // The boards wait until the membrane has cured, as it is typed.
        $browser->see('[data-row="stacks.w2.4"] button')->sendKeys(WebDriverKeys::ENTER);
        $waits = $browser->see('[aria-label="Waits for"]');
        $waits->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $waits->sendKeys('stacks.w2.set, stacks.w2.3 cured');
        $browser->see('[data-cures="stacks.w2.3"]');
        saved($browser);
        $task = array_column(planIn($browser, $project)['tasks'], null, 'id')['stacks.w2.4'];
        expect($task['after'])->toBe([['task' => 'stacks.w2.set'], ['task' => 'stacks.w2.3', 'until' => 'cure']]);
    });
});
