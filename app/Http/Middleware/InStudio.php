<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Support\CurrentStudio;
use Closure;
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
        $user instanceof User ? $this->studio->limitTo($user->studio_id, $user->shelfEdition(), $user->tracing()) : $this->studio->limitTo(null, null);
        try {
            return $next($request);
        } finally {
            $this->studio->release();
        }
    }
}
