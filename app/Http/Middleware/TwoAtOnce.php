<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/** One person's calculations take at most two of the workers that serve everybody. */
final class TwoAtOnce
{
    private const SLOTS = 2;

    /** Longer than any calculation takes: a slot that was never given back is free again then. */
    private const SECONDS = 12;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $who = (string) $request->user()?->getAuthIdentifier();
        for ($slot = 0; $slot < self::SLOTS; $slot++) {
            $lock = Cache::lock("calculates:$who:$slot", self::SECONDS);
            if ($lock->get()) {
                try {
                    return $next($request);
                } finally {
                    $lock->release();
                }
            }
        }
        $answer = Problems::answer(429, '(address)', null, 'Two calculations of yours are still at work. Wait for one of them, then try again.');
        $answer->headers->set('Retry-After', '2');

        return $answer;
    }
}
