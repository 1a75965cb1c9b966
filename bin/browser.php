<?php

declare(strict_types=1);

// A headless Chromium for the screenshots and the browser tests, each with a profile of its own.

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Symfony\Component\Process\Process;

final class Browser
{
    public readonly RemoteWebDriver $driver;

    private Process $service;

    private string $profile;

    private bool $closed = false;

    public function __construct(private readonly string $url, int $width = 1280, int $height = 800)
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $port = substr($name, strrpos($name, ':') + 1);
        $this->service = new Process(['/usr/bin/chromedriver', "--port=$port", '--log-level=SEVERE'], timeout: null);
        $this->service->start();
        $this->service->waitUntil(fn (string $type, string $said): bool => str_contains($said, 'started successfully'));
        $this->profile = sys_get_temp_dir().'/apron-browser-'.bin2hex(random_bytes(6));
        $options = (new ChromeOptions)->addArguments([
            '--headless',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            '--hide-scrollbars',
            '--force-device-scale-factor=1',
            "--user-data-dir={$this->profile}",
        ]);
        $this->driver = RemoteWebDriver::create(
            "http://127.0.0.1:$port",
            DesiredCapabilities::chrome()
                ->setCapability(ChromeOptions::CAPABILITY, $options)
                ->setCapability('goog:loggingPrefs', ['browser' => 'ALL']),
            30000,
            60000,
        );
        register_shutdown_function($this->close(...));
        $this->size($width, $height);
    }

    public function size(int $width, int $height, bool $phone = false): void
    {
        $this->driver->manage()->window()->setSize(new WebDriverDimension($width, $height));
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => $phone,
        ]);
    }

    public function open(string $path): void
    {
        $this->driver->get($this->url.$path);
    }

    /** Signs in as a person of the demo, consultant or inspector. */
    public function signIn(string $who): void
    {
        $this->open('/sign-in');
        $this->see('[name=email]')->sendKeys("$who@demo.test");
        $this->driver->findElement(WebDriverBy::name('password'))->sendKeys('lapped-outward')->submit();
        $this->until('return location.pathname === "/" && document.querySelector("h2") !== null');
    }

    /** Waits until a CSS selector finds something to see. */
    public function see(string $selector): Facebook\WebDriver\Remote\RemoteWebElement
    {
        $this->until(
            'const e = document.querySelector('.
                json_encode($selector).
                '); return e !== null && e.getClientRects().length > 0',
            $selector,
        );

        return $this->driver->findElement(WebDriverBy::cssSelector($selector));
    }

    /**
     * Clicks what a selector finds, once it can be clicked: a page that is drawing itself anew may take it away and
     * bring it back.
     */
    public function click(string $selector): void
    {
        $this->surely(fn () => $this->see($selector)->click());
    }

    public function type(string $selector, string ...$text): void
    {
        $this->surely(fn () => $this->see($selector)->sendKeys($text));
    }

    /** Does it, again while the page is not ready for it. */
    public function surely(callable $do): void
    {
        $until = microtime(true) + 60;
        while (true) {
            try {
                $do();

                return;
            } catch (
                NoSuchElementException
                |StaleElementReferenceException
                |ElementNotInteractableException
                |ElementClickInterceptedException $notYet
            ) {
                if (microtime(true) > $until) {
                    throw $notYet;
                }
                usleep(40000);
            }
        }
    }

    /** Waits for a state of the page: a script that returns true. */
    public function until(string $script, ?string $what = null): void
    {
        $until = microtime(true) + 60;
        while ($this->driver->executeScript($script) !== true) {
            if (microtime(true) > $until) {
                throw new RuntimeException(
                    'Waited in vain for '.
                        ($what ?? $script).
                        ' at '.
                        $this->driver->getCurrentURL().
                        "\n".
                        mb_substr((string) $this->driver->executeScript('return document.body.innerText'), 0, 1500).
                        json_encode($this->driver->manage()->getLog('browser')),
                );
            }
            usleep(40000);
        }
    }

    public function text(string $selector): string
    {
        return $this->see($selector)->getText();
    }

    /** Leaves nothing running, also where a script ended before its time. */
    public function close(): void
    {
        if ($this->closed) {
            return;
        }
        $this->closed = true;
        try {
            $this->driver->quit();
        } finally {
            $this->service->stop(5);
            (new Process(['rm', '-rf', $this->profile]))->run();
        }
    }
}
