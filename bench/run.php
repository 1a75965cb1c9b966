<?php

declare(strict_types=1);

// ./apron bench : what must be fast, beside something public doing a like task in the same run. Medians; nothing is
// judged.

$root = dirname(__DIR__);
require "$root/vendor/autoload.php";

/** @return array{float, float} median and 95th percentile of n runs, ms */
function timed(int $n, callable $run): array
{
    $run();
    $times = [];
    for ($i = 0; $i < $n; $i++) {
        $from = hrtime(true);
        $run();
        $times[] = (hrtime(true) - $from) / 1e6;
    }
    sort($times);

    return [$times[intdiv($n, 2)], $times[(int) ceil($n * 0.95) - 1]];
}

function told(string $what, array $times): void
{
    printf("%-66s median %8.2f ms   p95 %8.2f ms\n", $what, ...$times);
}

$demo = "$root/database/demo/project.json";
$quiet = '>/dev/null 2>&1';
echo "Whole process, on the demo\n";
told('apron check --json', timed(20, fn () => exec("php $root/bin/core.php $demo --json $quiet")));
told(
    'opis/json-schema validating the same file, nothing more',
    timed(20, fn () => exec("php $root/bench/opis.php $demo $quiet")),
);
told('php -r 0, the floor', timed(20, fn () => exec("php -r 0 $quiet")));

echo "\nCore time of one assembly through profiles and year, by number of layers (random, no two alike)\n";
$catalogue = new Apron\Material\Catalogue;
$months = array_map(
    fn (int $m): array => ['mean_c' => 5 - 15 * cos((2 * M_PI * $m) / 12), 'rh_pct' => 78],
    range(0, 11),
);
foreach ([3, 6, 12, 24] as $count) {
    mt_srand($count);
    $made = 0;
    $assess = function () use ($count, $months, $catalogue, &$made): void {
        $file = [
            'format' => 'apron-project/1',
            'project' => ['name' => 'b', 'units' => 'si'],
            'climate' => ['name' => 'b', 'months' => $months],
            'indoor' => ['kind' => 'fixed', 'temperature_c' => 20, 'rh_pct' => 45],
        ];
        for ($i = 0; $i < $count; $i++) {
            $file['materials'][] = [
                'id' => "m$i",
                'name' => "m$i",
                'conductivity_w_mk' => mt_rand(20, 500) / 1000,
                'vapour_resistance_factor' => 10 ** (mt_rand(0, 300) / 100),
            ];
            $file['assemblies'][0]['layers'][] = ['material' => "m$i", 'thickness_mm' => mt_rand(5, 100)];
        }
        $file['assemblies'][0] += ['id' => 'a'.$made++, 'name' => 'a', 'kind' => 'wall'];
        new Apron\Project\Assessment(Apron\Project\ProjectFormat::read(Apron\Json\Node::of($file), $catalogue));
    };
    told("$count layers, reading included", timed(200, $assess));
}

require "$root/bin/browser.php";
$browser = new Browser((string) getenv('APRON_URL'));
$browser->signIn('consultant');
$browser->see('a[href^="/p/"]');
$project = explode(
    '/',
    (string) $browser->driver->executeScript(
        'return [...document.querySelectorAll("a[href^=\"/p/\"]")].at(-1).getAttribute("href")',
    ),
)[2];
$browser->open("/p/$project/assemblies/w1?layer=l3");
$browser->see('[data-bench=l3] input')->click();
$browser->see('[data-figure=u]');
$times = [];
for ($i = 0; $i < 100; $i++) {
    // From the key to the frame after the answer was drawn; measured in the page, one key at a time.
    $times[] = (float) $browser->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[1];
        const field = document.querySelector('[data-bench=l3] input');
        const u = () => document.querySelector('[data-figure=u]').dataset.exact;
        const before = u();
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
        const from = performance.now();
        const seen = (_, watch) => {
            if (u() === before) return;
            watch.disconnect();
            requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
        };
        const all = { subtree: true, childList: true, attributes: true, characterData: true };
        new MutationObserver(seen).observe(document.querySelector('aside'), all);
        set.call(field, arguments[0]);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        JS
        ,
        [(string) (100 + $i)],
    );
}
$browser->close();
sort($times);
echo "\nIn the browser\n";
told('key to redrawn verdict, demo wall w1, 100 keys', [$times[50], $times[94]]);
