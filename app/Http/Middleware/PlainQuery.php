<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What follows the question mark of an address is short plain text: no lists, nothing unreadable. */
final class PlainQuery
{
    private const LONGEST = 2_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->is('api/*') ? $request->query->all() : [] as $name => $value) {
            $name = mb_strimwidth(mb_scrub((string) $name), 0, 60, '…');
            if (! is_string($value)) {
                return Problems::answer(422, $name, $value, "“{$name}” in the address must be text, and there once.");
            }
            if (mb_strlen($value) > self::LONGEST || ! mb_check_encoding($value, 'UTF-8') || preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $value) === 1) {
                return Problems::answer(422, $name, $value, sprintf('“%s” in the address must be readable text of at most %d characters.', $name, self::LONGEST));
            }
        }

        return $next($request);
    }
}
