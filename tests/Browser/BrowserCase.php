<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;

/** One browser for a class of tests, against the demo studio served by `./seam test`. */
abstract class BrowserCase extends TestCase
{
    protected const ENTER = WebDriverKeys::ENTER;

    private static ?Browser $browser = null;

    protected static function browser(): Browser
    {
        return self::$browser ??= Browser::open((string) getenv('SEAM_BASE'));
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser?->close();
        self::$browser = null;
    }

    protected function setUp(): void
    {
        if (getenv('SEAM_BASE') === false) {
            self::markTestSkipped('Browser tests need a served application: run ./seam test browser.');
        }
    }

    protected function signIn(): Browser
    {
        return self::browser()->size(1280, 800)->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now');
    }

    protected function classId(): string
    {
        return basename((string) parse_url(self::browser()->driver->getCurrentURL(), PHP_URL_PATH));
    }

    /** The browser itself found nothing wrong: no script error, no breach of the content policy. */
    protected static function assertQuiet(): void
    {
        $real = array_filter(self::browser()->complaints(), fn (string $m): bool => ! str_contains($m, '401') && ! str_contains($m, '422') && ! str_contains($m, '409'));
        self::assertSame([], array_values($real));
    }
}
