<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

require_once __DIR__.'/Support.php';

it('writes a fan test down by keyboard, sees its line and its verdict, and what makes it no test', function () {
    signedIn('consultant', function (Browser $browser): void {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/brief");
        $browser->see('nav');
        press($browser, '9');
        $browser->see('[data-drawing=fan] [data-line]');
        expect($browser->text('[data-verdict]'))->toContain('Simulated');
        press($browser, 'n');
        $browser->see('[data-test-form=f2]');
        $lines = $browser->see('textarea[aria-label=Readings]');
        $lines->sendKeys("-12.1, 190.5\n-19.8, 265.1\n-30.4, 352\n-40.2, 424\n-50.1, 487\n-59.7, 546");
        button($browser, 'put them there', WebDriverKeys::ENTER);
        $browser->until('return document.querySelectorAll("[data-reading]").length === 6', 'six readings');
        $browser->see('[data-verdict]');
        saved($browser);
        // Too windy by far: six pascals with the fan off.
        $before = $browser->driver->findElement(
            Facebook\WebDriver\WebDriverBy::xpath('//label[starts-with(., "no flow, before")]/input'),
        );
        $before->sendKeys('-6.2, -6.0');
        $browser->see('[data-verdict="not valid"]');
        expect($browser->see('[data-finding^="test.not-valid-offset"]')->getText())->toContain('no test');
        saved($browser);
        $tests = json_decode(fetched($browser, "/api/projects/$project/export.json"), true)['tests'];
        expect(array_column($tests, 'zero_flow_before_pa', 'id')['f2'])->toEqual([-6.2, -6.0]);
    });
});
