<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use RuntimeException;

/** A headless browser with a driver of its own; both end with the process. */
final class Browser
{
    /** A plan that was just changed is thought over, and everything read ahead, before a slow machine rests. */
    private const REST_SECONDS = 120.0;

    /** @param  resource  $process */
    private function __construct(public readonly RemoteWebDriver $driver, private readonly string $base, private readonly mixed $process, private readonly string $profile) {}

    /**
     * @param  string|null  $device  folder of a browser that was closed: the same device switched on again
     * @param  string|null  $camera  file of JPEG frames (.mjpeg) that its camera sees
     */
    public static function open(string $base, int $width = 1280, int $height = 800, ?string $device = null, ?string $camera = null): self
    {
        $port = self::freePort();
        $log = tempnam(sys_get_temp_dir(), 'seam-driver-');
        $process = proc_open(['/usr/bin/chromedriver', "--port=$port"], [['file', '/dev/null', 'r'], ['file', $log, 'a'], ['file', $log, 'a']], $pipes);
        if ($process === false) {
            throw new RuntimeException('chromedriver did not start.');
        }
        Wait::until('chromedriver', fn (): bool => @fsockopen('127.0.0.1', $port) !== false);
        $profile = $device ?? sys_get_temp_dir().'/seam-browser-'.bin2hex(random_bytes(4));
        $options = (new ChromeOptions)->setBinary('/usr/bin/chromium')->addArguments([
            '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update',
            '--disable-sync', '--disable-dev-shm-usage', '--disable-extensions', '--hide-scrollbars', '--force-device-scale-factor=1', '--lang=en-GB',
            // Nothing moves: what is there is where it stays.
            ...($camera === null ? [] : ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream', "--use-file-for-fake-video-capture=$camera"]),
            '--force-prefers-reduced-motion', '--window-size=1280,800', "--user-data-dir=$profile",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $browser = new self(RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities, 60_000, 60_000), $base, $process, $profile);
        register_shutdown_function($browser->close(...));
        $browser->size($width, $height);

        return $browser;
    }

    public function size(int $width, int $height, bool $touch = false): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $touch]);

        return $this;
    }

    /** Switched off; what lies on it stays. */
    public function switchOff(): string
    {
        $this->close(true);

        return $this->profile;
    }

    public function close(bool $keep = false): void
    {
        if (is_resource($this->process)) {
            try {
                $this->driver->quit();
            } catch (\Throwable) {
                // The driver is ended below in any case.
            }
            proc_terminate($this->process, 9);
            proc_close($this->process);
            $keep || exec('rm -rf '.escapeshellarg($this->profile));
        }
    }

    public function go(string $address): self
    {
        $this->driver->get($this->base.$address);

        return $this;
    }

    public function signIn(string $email, string $password): self
    {
        $this->forget()->go('/')->see('Sign in');
        $this->find('input[type=email]')->sendKeys($email);
        $this->find('input[type=password]')->sendKeys($password.WebDriverKeys::ENTER);

        return $this->see('Today');
    }

    /** Nobody is signed in any more. The page is left first: a request under way would bring its cookie back. */
    public function forget(): self
    {
        $this->rest();
        // What the tab has in hand goes too, as at sign-out.
        $this->driver->executeScript('try { sessionStorage.clear() } catch { }');
        $this->driver->get('about:blank');
        // What is fetched ahead in the background may still be answered.
        usleep(250_000);
        (new ChromeDevToolsDriver($this->driver))->execute('Network.clearBrowserCookies');

        return $this;
    }

    /** Waits until no request and no write to the browser's database is under way, and nothing moves. */
    public function rest(): self
    {
        $quiet = 0;
        $under = '';
        Wait::until('the page at rest', function () use (&$quiet, &$under): bool {
            // Three times in turn: between a click and its request there is a moment.
            $under = (string) $this->driver->executeScript('return [document.readyState, document.documentElement.dataset.busy ?? "", document.getAnimations().length || ""].join(" ").trim()');
            $quiet = $under === 'complete' ? $quiet + 1 : 0;

            return $quiet >= 3;
        }, self::REST_SECONDS, function () use (&$under): string {
            return "State, requests and movements under way: $under. At {$this->driver->getCurrentURL()}.";
        });

        return $this;
    }

    /** Waits until the words stand on the page. */
    public function see(string $words): self
    {
        $this->until("“{$words}” on the page", fn (): bool => str_contains($this->text(), $words));

        return $this;
    }

    public function text(): string
    {
        return (string) $this->driver->executeScript('return document.body.innerText');
    }

    public function find(string $css): RemoteWebElement
    {
        $found = null;
        $this->until("an element $css", function () use ($css, &$found): bool {
            $found = $this->driver->findElements(WebDriverBy::cssSelector($css))[0] ?? null;

            return $found !== null;
        });

        return $found ?? throw new RuntimeException("No $css.");
    }

    public function click(string $css): self
    {
        $at = null;
        $this->until("$css that can be clicked", function () use ($css, &$at): bool {
            return $this->clickWhereItStays($this->driver->findElements(WebDriverBy::cssSelector($css))[0] ?? null, 'center', $at);
        });

        return $this;
    }

    /**
     * An answer that comes in above it would move it from under the hand: it is clicked once it stands where it stood.
     *
     * @param  mixed  $at  where it stood, kept from one try to the next
     */
    private function clickWhereItStays(?RemoteWebElement $element, string $block, mixed &$at): bool
    {
        if ($element === null) {
            return false;
        }
        $before = $at;
        $at = $this->driver->executeScript('arguments[0].scrollIntoView({block: arguments[1]}); const r = arguments[0].getBoundingClientRect(); return r.x + " " + r.y', [$element, $block]);
        if ($at !== $before) {
            return false;
        }
        $element->click();

        return true;
    }

    /** Clicks the first button or link with these words. */
    public function press(string $words): self
    {
        // Found and clicked in one go: what is drawn anew between the two is found again.
        $at = null;
        $this->until("a button “{$words}” that can be pressed", function () use ($words, &$at): bool {
            $element = $this->driver->findElements(WebDriverBy::xpath("//*[self::button or self::a][not(@disabled)][contains(normalize-space(.), \"$words\") or contains(@aria-label, \"$words\")]"))[0] ?? null;

            return $this->clickWhereItStays($element, 'nearest', $at);
        });

        return $this;
    }

    /** Takes what a list of choices calls so; by its words, for typing ahead depends on how fast a browser gets the keys. */
    public function choose(string $css, string $words): self
    {
        $this->until("“{$words}” to choose", function () use ($css, $words): bool {
            $element = $this->driver->findElements(WebDriverBy::cssSelector($css))[0] ?? null;
            if ($element === null) {
                return false;
            }
            $select = new WebDriverSelect($element);
            $select->selectByVisibleText($words);

            return trim($select->getFirstSelectedOption()->getText()) === $words;
        });

        return $this;
    }

    /** Types into whatever has the focus. */
    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            // A field that is drawn anew between being found and being typed into takes nothing: its successor does.
            $this->until('a field to type into', function () use ($key): bool {
                $this->driver->switchTo()->activeElement()->sendKeys($key);

                return true;
            });
        }

        return $this;
    }

    public function chord(string $held, string $key): self
    {
        $this->driver->getKeyboard()->sendKeys([$held, $key]);
        $this->driver->getKeyboard()->releaseKey($held);

        return $this;
    }

    /** Puts text in place of what a field holds, as a person does: mark all, then type. */
    public function fill(RemoteWebElement $field, string $text): self
    {
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);

        return $this;
    }

    /** @param  callable(): bool  $holds */
    public function until(string $what, callable $holds, float $seconds = Wait::SECONDS): void
    {
        Wait::until($what, $holds, $seconds, fn (): string => "At {$this->driver->getCurrentURL()} the page says: ".mb_substr($this->text(), 0, 1500));
    }

    public function picture(string $file): void
    {
        $this->rest();
        $this->driver->takeScreenshot($file);
    }

    /** @return list<string> what the browser complained of */
    public function complaints(): array
    {
        $entries = $this->driver->manage()->getLog('browser');

        return array_values(array_map(fn (array $e): string => (string) $e['message'], array_filter($entries, fn (array $e): bool => $e['level'] === 'SEVERE')));
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = $socket === false ? '' : (string) stream_socket_get_name($socket, false);
        $socket === false ?: fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
