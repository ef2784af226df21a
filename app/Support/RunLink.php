<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/**
 * The address of a machine's buttonhole run, for a card at its seat: it shows no name and
 * changes nothing, is made for one machine and ends by itself. Nothing of it is stored.
 */
final class RunLink
{
    /** A course and its holidays. */
    private const DAYS = 200;

    public static function to(string $machine): string
    {
        $ends = (string) Clock::now()->addDays(self::DAYS)->getTimestamp();

        return config()->string('app.url')."/run/$machine/$ends/".self::sign($machine, $ends);
    }

    public static function holds(string $machine, string $ends, string $signature): bool
    {
        return ctype_digit($ends) && hash_equals(self::sign($machine, $ends), $signature) && CarbonImmutable::createFromTimestamp((int) $ends) > Clock::now();
    }

    private static function sign(string $machine, string $ends): string
    {
        return substr(hash_hmac('sha256', "run $machine $ends", config()->string('app.key')), 0, 32);
    }
}
