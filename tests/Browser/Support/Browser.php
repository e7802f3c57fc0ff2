<?php

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\UnknownErrorException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use RuntimeException;

/** A headless Chromium behind ChromeDriver. */
class Browser
{
    /** What stands out of its sheet to the right, and is not within something that scrolls. */
    private const STANDS_OUT = <<<'JS'
        return [...document.querySelectorAll('.sheet')].flatMap(sheet => {
          const edge = sheet.getBoundingClientRect().right + 1
          const scrolls = element => {
            for (let up = element.parentElement; up && up !== sheet; up = up.parentElement) {
              if (getComputedStyle(up).overflowX !== 'visible') return true
            }
            return false
          }
          return [...sheet.querySelectorAll('*')]
            .filter(one => one.getClientRects().length && !one.closest('svg *') && one.getBoundingClientRect().width > 2)
            .filter(one => one.getBoundingClientRect().right > edge && !scrolls(one))
            .map(one => `${one.tagName} ${one.textContent.trim().slice(0, 60)}`).slice(0, 3)
        })
        JS;

    private readonly ChromeDevToolsDriver $tools;

    /** @param  resource  $process */
    private function __construct(
        public readonly RemoteWebDriver $driver,
        private readonly string $address,
        private $process,
        private readonly string $profile,
    ) {
        $this->tools = new ChromeDevToolsDriver($driver);
    }

    public static function start(string $address): self
    {
        $port = Server::freePort();
        $process = proc_open(
            ['chromedriver', "--port={$port}", '--silent'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes,
        );
        if ($process === false) {
            throw new RuntimeException('ChromeDriver could not be started.');
        }
        $profile = sys_get_temp_dir().'/destino-browser-'.bin2hex(random_bytes(6));
        $capabilities = self::capabilities($profile);
        for ($try = 0; $try < 50; $try++) {
            $socket = @fsockopen('127.0.0.1', $port);
            if ($socket !== false) {
                fclose($socket);

                return new self(
                    RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 60_000),
                    $address,
                    $process,
                    $profile,
                );
            }
            usleep(100_000);
        }
        throw new RuntimeException('ChromeDriver did not answer in time.');
    }

    /** Chromium without windows, as a program of its own where there is one: it spares the work of painting them. */
    private static function capabilities(string $profile): DesiredCapabilities
    {
        $options = (new ChromeOptions)->addArguments([
            '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update',
            '--disable-sync',
            '--no-first-run', '--hide-scrollbars', '--window-size=1280,800', "--user-data-dir={$profile}",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $shell = trim((string) exec('command -v chromium-headless-shell'));
        if ($shell !== '' && self::release($shell) === self::release('chromedriver')) {
            $options->setBinary($shell);
            $capabilities->setCapability('browserName', 'chrome-headless-shell');
        }

        return $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
    }

    /** A driver drives the browser of its own release. */
    private static function release(string $program): string
    {
        preg_match('/\b(\d+)\.\d+\.\d+/', (string) exec(escapeshellarg($program).' --version 2>/dev/null'), $found);

        return $found[1] ?? '';
    }

    public function visit(string $path): self
    {
        $this->driver->get($this->address.$path);

        return $this;
    }

    /** The size of the page, phones included: a window cannot be made that narrow. */
    public function size(int $width, int $height): self
    {
        $this->tools->execute(
            'Emulation.setDeviceMetricsOverride',
            ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false],
        );

        return $this;
    }

    public function theme(string $theme): self
    {
        $this->tools->execute('Emulation.setEmulatedMedia', ['features' => [['name' => 'prefers-color-scheme', 'value' => $theme]]]);

        return $this;
    }

    public function withoutScripts(bool $off = true): self
    {
        $this->tools->execute('Emulation.setScriptExecutionDisabled', ['value' => $off]);

        return $this;
    }

    /** Cuts the connection of the page, or gives it back. */
    public function cut(bool $off = true): self
    {
        $this->tools->execute('Network.enable');
        $this->tools->execute(
            'Network.emulateNetworkConditions', ['offline' => $off, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );

        return $this;
    }

    public function picture(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    public function find(string $selector): RemoteWebElement
    {
        return $this->driver->findElement(WebDriverBy::cssSelector($selector));
    }

    /** @return list<RemoteWebElement> */
    public function all(string $selector): array
    {
        return $this->driver->findElements(WebDriverBy::cssSelector($selector));
    }

    public function text(string $selector = 'main'): string
    {
        return $this->find($selector)->getText();
    }

    public function type(string $selector, string $text): self
    {
        $field = $this->find($selector);
        $field->clear();
        $field->sendKeys($text);

        return $this;
    }

    /** Opens the fold that an element stands in, where it is closed. */
    public function open(RemoteWebElement $element): void
    {
        $this->script('const fold = arguments[0].closest("details"); if (fold && !fold.open) fold.querySelector("summary").click()', $element);
    }

    public function click(string $selector): self
    {
        // A page that is still taking shape may move the element between the look and the click.
        $this->driver->wait(30, 200)->until(function () use ($selector): bool {
            try {
                $element = $this->find($selector);
                $this->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $element);
                $element->click();

                return true;
            } catch (ElementClickInterceptedException|StaleElementReferenceException) {
                return false;
            }
        }, "{$selector} could not be clicked");

        return $this;
    }

    /** Waits until a script says that it is so. */
    public function until(string $script): self
    {
        $this->driver->wait(30, 100)->until(fn (): bool => $this->script($script) === true, "it did not come to: {$script}");

        return $this;
    }

    public function waitFor(string $selector, string $text): self
    {
        $this->driver->wait(30, 100)->until(function () use ($selector, $text): bool {
            try {
                return $this->all($selector) !== [] && str_contains($this->text($selector), $text);
            } catch (StaleElementReferenceException|NoSuchElementException) {
                return false; // the page changed under the question
            } catch (UnknownErrorException $error) { // in the very moment of the change the driver has no better name for it
                return str_contains($error->getMessage(), 'does not belong to the document') ? false : throw $error;
            }
        }, "“{$text}” did not appear in {$selector}");

        return $this;
    }

    public function script(string $script, mixed ...$arguments): mixed
    {
        return $this->driver->executeScript($script, $arguments);
    }

    /** @return list<string> what stands out of its sheet, and how far the whole page would have to be moved sideways */
    public function standingOut(): array
    {
        $sideways = (int) $this->script('return document.documentElement.scrollWidth - innerWidth');

        return [...(array) $this->script(self::STANDS_OUT), ...($sideways > 0 ? ["the page, by {$sideways} pixels"] : [])];
    }

    public function quit(): void
    {
        $this->driver->quit();
        proc_terminate($this->process);
        proc_close($this->process);
        exec('rm -rf '.escapeshellarg($this->profile));
    }
}
