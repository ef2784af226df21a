<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\Metrics\Counts;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * Each request has an id that goes through all logs, and is counted by its route. What is
 * written of it says nothing of a person: no address, no name, nothing that was sent.
 */
final class Measured
{
    public const HEADER = 'X-Request-Id';

    /** From here on an answer is slow enough to be written down. */
    private const SLOW_SECONDS = 1.0;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $from = microtime(true);
        $given = (string) $request->headers->get(self::HEADER, '');
        // A balancer's word, where it is one: anything else could be written into a log by whoever asks.
        $id = preg_match('/^[0-9A-Za-z-]{16,64}$/D', $given) === 1 ? $given : strtolower((string) Str::ulid());
        Context::add('request', $id);
        $response = $next($request);
        $response->headers->set(self::HEADER, $id);
        $seconds = microtime(true) - $from;
        $route = (string) ($request->route()?->getName() ?? 'none');
        if (! str_starts_with($route, 'up.') && $route !== 'metrics') {
            Counts::add('open_seam_requests', ['route' => $route, 'code' => intdiv($response->getStatusCode(), 100).'xx']);
            Counts::took('open_seam_request_seconds', $seconds, ['route' => $route]);
        }
        if ($seconds >= self::SLOW_SECONDS || config()->boolean('seam.log_requests')) {
            Log::log($seconds >= self::SLOW_SECONDS ? 'warning' : 'info', 'answered', ['route' => $route, 'method' => $request->method(), 'status' => $response->getStatusCode(), 'ms' => (int) round(1000 * $seconds)]);
        }

        return $response;
    }
}
