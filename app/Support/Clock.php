<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/**
 * What time it is in class. SEAM_NOW fixes it for tests and pictures; sessions,
 * cookies and throttling go by the machine's own clock all the same.
 */
final class Clock
{
    private static ?CarbonImmutable $fixed = null;

    public static function now(): CarbonImmutable
    {
        if (self::$fixed !== null) {
            return self::$fixed;
        }
        $configured = config('app.now');

        return is_string($configured) && $configured !== '' ? CarbonImmutable::parse($configured) : CarbonImmutable::now();
    }

    /** Stands the clock at a moment; null lets it run again. */
    public static function fix(?CarbonImmutable $at): void
    {
        self::$fixed = $at;
    }
}
