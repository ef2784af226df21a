<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use App\Models\User;
use App\Records\Shelf;
use App\Support\CurrentStudio;
use App\Support\Reader;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Limits every query of the request to the studio of whoever is signed in. */
final readonly class InStudio
{
    public function __construct(private CurrentStudio $studio, private Reader $reader, private Shelf $shelf) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            throw new AuthenticationException;
        }

        if ($user->studio->deleted_at !== null && ! $request->is('api/me', 'api/sign-out', 'api/studio/reopen')) {
            return Problems::answer(410, '(studio)', null, 'This studio was deleted. Its owner can bring it back within thirty days.');
        }

        $this->shelf->in($user->unit);

        return $this->studio->within($user->studio_id, fn (): Response => $this->reader->as($user, fn (): Response => $next($request)), $user->shelfEdition(), $user->tracing());
    }
}
