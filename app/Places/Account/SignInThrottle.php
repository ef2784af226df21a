<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Support\Metrics\Counts;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Guessing is slowed down: for an account from one place, for an account from everywhere, and for a
 * place. Whoever signed in from a place before is let through while it is slowed down for others: one
 * person who guesses does not lock out the room that shares the address.
 */
final readonly class SignInThrottle
{
    private const FROM_ONE_PLACE = 5;

    private const FROM_EVERYWHERE = 30;

    private const OF_A_PLACE = 60;

    private const KNOWN_DAYS = 30;

    /** @throws ThrottleRequestsException */
    public function check(string $email, string $place): void
    {
        $known = Cache::get(self::known($email, $place)) === true;
        $limits = [self::pair($email, $place) => self::FROM_ONE_PLACE] + ($known ? [] : [self::account($email) => self::FROM_EVERYWHERE, self::place($place) => self::OF_A_PLACE]);
        foreach ($limits as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw new ThrottleRequestsException(headers: ['Retry-After' => RateLimiter::availableIn($key)]);
            }
        }
    }

    public function failed(string $email, string $place): void
    {
        Counts::add('open_seam_sign_ins_refused');
        RateLimiter::hit(self::pair($email, $place), 60);
        RateLimiter::hit(self::account($email), 600);
        RateLimiter::hit(self::place($place), 60);
    }

    public function passed(string $email, string $place): void
    {
        RateLimiter::clear(self::pair($email, $place));
        Cache::put(self::known($email, $place), true, self::KNOWN_DAYS * 86_400);
    }

    private static function pair(string $email, string $place): string
    {
        return 'sign-in|'.hash('sha256', "$email|$place");
    }

    private static function account(string $email): string
    {
        return 'sign-in|account|'.hash('sha256', $email);
    }

    private static function place(string $place): string
    {
        return 'sign-in|place|'.hash('sha256', $place);
    }

    private static function known(string $email, string $place): string
    {
        return 'signed-in|'.hash('sha256', "$email|$place");
    }
}
