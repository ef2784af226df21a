<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use RuntimeException;
use Throwable;

/** The one way these tests wait: for what is meant, and no longer than it takes. */
final class Wait
{
    /** Long enough for a busy machine; what is there is there at once. */
    public const SECONDS = 60.0;

    private const LOOK_AGAIN_US = 40_000;

    /**
     * @param  callable(): bool  $holds  looked at again and again; what it throws counts as not yet
     * @param  (callable(): string)|null  $said  more to say when it never holds
     *
     * @throws RuntimeException
     */
    public static function until(string $what, callable $holds, float $seconds = self::SECONDS, ?callable $said = null): void
    {
        $end = microtime(true) + $seconds;
        do {
            try {
                if ($holds()) {
                    return;
                }
            } catch (\Facebook\WebDriver\Exception\PhpWebDriverExceptionInterface) {
                // The page is changing under the hand; look again.
            }
            usleep(self::LOOK_AGAIN_US);
        } while (microtime(true) < $end);
        $more = '';
        try {
            $more = $said === null ? '' : $said();
        } catch (Throwable) {
            // Nothing more can be said.
        }
        throw new RuntimeException("Waited in vain for $what. $more");
    }
}
