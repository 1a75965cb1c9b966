<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';
require_once __DIR__.'/../../bin/monkey.php';

it(
    'survives a hasty person for twenty seconds: no dead page, no error in the console, no fault of the server',
    fn () => signedIn('consultant', function (Browser $browser) {
        $monkey = new Monkey($browser, copyOfDemo($browser), seed: 11);
        $monkey->run(20.0);
        expect(implode("\n", $monkey->found))->toBe('')->and($monkey->acts)->toBeGreaterThan(20);
    }),
);

it(
    'finds a page that died and an error in the console',
    fn () => signedIn('consultant', function (Browser $browser) {
        $monkey = new Monkey($browser, copyOfDemo($browser), seed: 1);
        $look = (new ReflectionMethod($monkey, 'look'))->getClosure($monkey);
        $browser->open('/');
        $browser->driver->executeScript(
            'setTimeout(() => { throw new Error("a page that fell over"); }); document.body.innerHTML = "<p data-broken-page>This page stopped</p>"',
        );
        $look(true);
        expect(implode("\n", $monkey->found))->toContain('This page stopped')->toContain('fell over');
    }),
);

it(
    'types a thickness over and over at a person’s speed, and the figures are those of the last',
    fn () => signedIn('consultant', function (Browser $browser) {
        $project = copyOfDemo($browser);
        $browser->open("/p/$project/assemblies/w1?layer=l3");
        $browser->see('[data-bench=l3] input');
        foreach (range(1, 12) as $n) {
            retype($browser, '[data-bench=l3] input', (string) (90 + $n * 5));
        }
        $browser->until(
            'return document.querySelector("[data-old]").dataset.old === "false" && document.querySelector("aside [data-state]")?.dataset.state === "saved"',
            'figures of now, saved',
        );
        expect($browser->driver->executeScript('return document.querySelector("[data-broken-page]")'))->toBeNull();
        $file = json_decode(fetched($browser, "/api/projects/$project/export.json"), true);
        expect($file['assemblies'][0]['layers'][2]['thickness_mm'])->toBe(150);
        $checked = json_decode(apronCheck(json_encode($file))['out'], true)['assemblies'][0];
        expect((float) $browser->see('[data-figure=r-total]')->getAttribute('data-exact'))->toEqualWithDelta(
            $checked['r_total_m2k_w'],
            1e-9,
        );
    }),
);
