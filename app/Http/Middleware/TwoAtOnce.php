<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use App\Support\SharedLock;
use Closure;
use Illuminate\Contracts\Cache\Lock;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** One person's calculations take at most two of the workers that serve everybody. */
final class TwoAtOnce
{
    private const SLOTS = 2;

    /** Longer than any calculation takes: a slot that was never given back is free again then. */
    private const SECONDS = 25;

    /** A third and a fourth wait a little: who types fast on a slow computer asks again before the last answer is there. */
    private const WAITING = 2;

    private const PATIENCE_S = 3.0;

    private const LOOK_AGAIN_US = 50_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // Whoever comes by a private link is told by that.
        $who = (string) ($request->user()?->getAuthIdentifier() ?? hash('xxh3', $request->path()));
        $lock = $this->oneOf("calculates:$who", self::SLOTS);
        if ($lock === null && ($place = $this->oneOf("waits:$who", self::WAITING)) !== null) {
            $until = microtime(true) + self::PATIENCE_S;
            while ($lock === null && microtime(true) < $until) {
                usleep(self::LOOK_AGAIN_US);
                $lock = $this->oneOf("calculates:$who", self::SLOTS);
            }
            $place->release();
        }
        if ($lock !== null) {
            try {
                return $next($request);
            } finally {
                $lock->release();
            }
        }
        $answer = Problems::answer(429, '(address)', null, 'Two calculations of yours are still at work. Wait for one of them, then try again.');
        $answer->headers->set('Retry-After', '2');

        return $answer;
    }

    /** The first that is free of so many; nothing when none is. */
    private function oneOf(string $name, int $many): ?Lock
    {
        for ($i = 0; $i < $many; $i++) {
            $lock = SharedLock::take("$name:$i", self::SECONDS);
            if ($lock !== null) {
                return $lock;
            }
        }

        return null;
    }
}
