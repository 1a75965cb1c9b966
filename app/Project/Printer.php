<?php

declare(strict_types=1);

namespace App\Project;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Illuminate\Support\Facades\Log;
use Symfony\Component\Process\Process;

/** Prints a page of this application with headless Chromium, driven by ChromeDriver. */
final class Printer
{
    /** The heading of the report on the left, the page on the right. */
    private const FOOTER = '<div style="width:100%;font-size:7pt;padding:0 14mm;display:flex;justify-content:space-between">'.
        '<span class="title"></span>'.
        '<span><span class="pageNumber"></span> / <span class="totalPages"></span></span></div>';

    /**
     * @param  callable(string, int): bool  $progress  what is being done and how far it is; false stops the work
     * @return string|null the PDF, or null where it was stopped
     */
    public function print(string $address, callable $progress): ?string
    {
        $port = self::freePort();
        $service = new Process(
            [(string) config('apron.chromedriver'), "--port=$port", '--log-level=SEVERE'],
            timeout: null,
        );
        $service->start();
        $profile = config('apron.tmp').'/apron-print-'.bin2hex(random_bytes(6));
        $driver = null;
        try {
            $service->waitUntil(fn (string $type, string $said): bool => str_contains($said, 'started successfully'));
            $driver = RemoteWebDriver::create("http://127.0.0.1:$port", self::capabilities($profile), 30000, 120000);
            $driver->get($address);
            $status = $driver->executeScript(
                'return performance.getEntriesByType("navigation")[0]?.responseStatus ?? 0',
            );
            if ($status >= 400) {
                throw new \RuntimeException("its pages could not be made ($status)");
            }
            $driver
                ->wait(60, 100)
                ->until(
                    fn (RemoteWebDriver $d): bool => $d->executeScript(
                        'return document.documentElement.dataset.ready === "yes"',
                    ) === true,
                );
            if (! $progress('printing', 70)) {
                return null;
            }
            $pdf = self::pdf($driver);
            if ($driver->executeScript('return document.querySelector("[data-page-of]") === null')) {
                return $pdf;
            }
            // On which page a sheet begins is known once it is printed: printed again, its contents say it.
            if (! $progress('numbering the pages', 85)) {
                return null;
            }
            $pages = self::pages($pdf);
            if ($pages === []) {
                // A report without page numbers in its contents is better than none.
                return $pdf;
            }
            $driver->executeScript(
                'window.dispatchEvent(new CustomEvent("pages", { detail: arguments[0] }))',
                [$pages],
            );

            return self::pdf($driver);
        } finally {
            $driver?->quit();
            $service->stop(5);
            (new Process(['rm', '-rf', $profile]))->run();
        }
    }

    private static function pdf(RemoteWebDriver $driver): string
    {
        $printed = (new ChromeDevToolsDriver($driver))->execute('Page.printToPDF', [
            'printBackground' => true,
            'preferCSSPageSize' => true,
            'displayHeaderFooter' => true,
            'headerTemplate' => '<span></span>',
            'footerTemplate' => self::FOOTER,
        ]);

        return (string) base64_decode($printed['data'], true);
    }

    /**
     * The page of each place that the contents lead to, as poppler reads it off the printed file.
     *
     * @return array<string, int>
     */
    private static function pages(string $pdf): array
    {
        $file = config('apron.tmp').'/apron-pages-'.bin2hex(random_bytes(6)).'.pdf';
        file_put_contents($file, $pdf);
        try {
            $reader = new Process([(string) config('apron.pdfinfo'), '-dests', $file]);
            if ($reader->run() !== 0) {
                Log::warning('The pages of a report could not be numbered.', ['said' => $reader->getErrorOutput()]);
            }
            $said = $reader->getOutput();
        } finally {
            unlink($file);
        }
        preg_match_all('/^\s*(\d+) \[.*\] "(.+)"$/m', $said, $rows, PREG_SET_ORDER);

        return array_map(intval(...), array_column($rows, 1, 2));
    }

    private static function capabilities(string $profile): DesiredCapabilities
    {
        $options = (new ChromeOptions)
            ->setBinary((string) config('apron.chromium'))
            ->addArguments([
                '--headless',
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--disable-dev-shm-usage',
                "--user-data-dir=$profile",
            ]);

        return DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
    }

    private static function freePort(): int
    {
        $socket =
            stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no free port for the printer');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, strrpos($name, ':') + 1);
    }
}
