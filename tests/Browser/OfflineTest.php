<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Process\Process;

require_once __DIR__.'/Support.php';

/** A wire to the application that a test cuts and mends: what the worker of the page asks goes through it too. */
final class Wire
{
    public readonly string $url;

    private readonly int $port;

    private ?Process $process = null;

    public function __construct()
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $this->port = (int) substr($name, strrpos($name, ':') + 1);
        $this->url = "http://127.0.0.1:$this->port";
        $this->mend();
    }

    public function mend(): void
    {
        $to = (string) parse_url((string) getenv('APRON_URL'), PHP_URL_PORT);
        $this->process = new Process([PHP_BINARY, __DIR__.'/forward.php', (string) $this->port, $to], timeout: null);
        $this->process->start();
        $this->process->waitUntil(fn (string $type, string $said): bool => str_contains($said, 'ready'));
    }

    public function cut(): void
    {
        $this->process?->stop(0);
    }
}

it('works on site without a signal: opened, reloaded, closed, read, photographed; and sends all of it once', function () {
    $wire = new Wire;
    $browser = new Browser($wire->url, 390, 844);
    try {
        $browser->signIn('inspector');
        $browser->see('a[href^="/p/"]');
        $demo = $browser->driver->executeScript(
            'return [...document.querySelectorAll("a")].find(a => a.textContent.startsWith("Sallow")).pathname.split("/")[2]',
        );
        $browser->size(390, 844, true);
        $browser->open("/p/$demo/site");
        $browser->until(
            'const t = document.querySelector("[data-taken]"); return t !== null && t.dataset.taken === t.dataset.takenOf',
            'all sheets to be taken along',
        );
        $before = count(json_decode(fetched($browser, "/api/projects/$demo/export.json"), true)['site']['events']);
        $wire->cut();

        // Opened anew: the page, the list, the drawing and the card are on the phone.
        $browser->open("/p/$demo/site");
        $browser->see('[data-mode=site] [data-check="o4.head-strip-lap.left"], [data-mode=site] [data-check]');
        $check = $browser->driver->executeScript(
            'return document.querySelector("[data-mode=site] [data-check^=\"o4.slit-tape-side\"]").dataset.check',
        );
        $browser->open("/p/$demo/site/check/$check");
        $browser->see('[data-drawing=unfolded]');
        foreach (['7', '1'] as $digit) {
            $browser->click("button[aria-label=\"$digit\"]");
        }
        $picture = tempnam(sys_get_temp_dir(), 'apron').'.png';
        imagepng(imagecreatetruecolor(64, 48), $picture);
        $browser->surely(fn () => $browser->driver->findElement(WebDriverBy::name('photograph'))->sendKeys($picture));
        button($browser, 'keep the picture');
        $browser->until(
            'return [...document.querySelectorAll("button")].some(b => /^photo · [1-9]/.test(b.textContent))',
            'the photograph to be kept',
        );
        button($browser, 'keep, next');
        $waiting = fn (string $how, string $what) => $browser->until(
            'const s = document.querySelector("[data-waiting]"); return s !== null && s.dataset.waiting '.$how,
            $what,
        );
        $waiting('>= "2"', 'the reading and the photograph to wait');
        $kept = $browser->driver->executeScript('return document.querySelector("[data-waiting]").dataset.waiting');

        // The tab is closed and another opened, still without a signal: it is all there.
        $old = $browser->driver->getWindowHandle();
        $browser->driver->switchTo()->newWindow('tab');
        $new = $browser->driver->getWindowHandle();
        $browser->driver->switchTo()->window($old)->close();
        $browser->driver->switchTo()->window($new);
        $browser->open("/p/$demo/site");
        $waiting("=== \"$kept\"", 'what waited to be there still');
        $browser->see('[data-queue]');
        // Saved as a file, it is brought in where there is a signal; the phone sends it again, and it is there once.
        $browser->driver->executeScript(
            'const made = URL.createObjectURL; URL.createObjectURL = (blob) => {'.
                ' blob.text().then((text) => { window.saved = text }); return made.call(URL, blob) }',
        );
        button($browser, 'save as a file');
        $browser->until('return window.saved !== undefined', 'the file');
        $saved = tempnam(sys_get_temp_dir(), 'apron').'.json';
        file_put_contents($saved, $browser->driver->executeScript('return window.saved'));
        signedIn('inspector', function (Browser $desk) use ($demo, $saved, $kept): void {
            $desk->open("/p/$demo/site");
            $desk->see('[data-check]');
            $desk->surely(fn () => $desk->driver->findElement(WebDriverBy::name('saved'))->sendKeys($saved));
            $desk->until("return document.body.innerText.includes('$kept brought in')", 'the file to be brought in');
            $desk->until('return document.querySelector("[data-waiting]").dataset.waiting === "0"', 'it to be sent');
        });
        // Other pages that were taken along open too.
        $browser->open("/p/$demo/findings");
        $browser->see('[data-finding], main h1');
        // What is shown without a signal says of when it is.
        $browser->see('[data-kept]');

        $wire->mend();
        $browser->open("/p/$demo/site");
        $waiting('=== "0"', 'all of it to be sent');
        $browser->until(
            'return !document.querySelector("[data-waiting]").textContent.includes("no signal")',
            'the server to answer again',
        );
        $events = json_decode(fetched($browser, "/api/projects/$demo/export.json"), true)['site']['events'];
        $ours = array_slice($events, $before);
        expect(array_count_values(array_column($ours, 'kind')))
            ->toMatchArray(['reading' => 1, 'photograph' => 1])
            ->and(array_column($ours, 'value_mm'))
            ->toBe([71]);
        unlink($picture);
    } finally {
        $browser->close();
        $wire->cut();
    }
});
