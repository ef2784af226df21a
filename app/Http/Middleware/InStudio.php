<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Support\CurrentStudio;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Limits every query of the request to the studio of whoever is signed in. */
final readonly class InStudio
{
    public function __construct(private CurrentStudio $studio) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            throw new AuthenticationException;
        }

        return $this->studio->within($user->studio_id, fn (): Response => $next($request), $user->shelfEdition(), $user->tracing());
    }
}
