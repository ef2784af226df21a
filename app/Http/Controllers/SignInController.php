<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OpenStudio;
use App\Http\Problems;
use App\Http\Requests\OpenStudioBody;
use App\Http\Requests\SignInBody;
use App\Http\Resources\ErrorBody;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use OpenApi\Attributes as OA;

/** Signing in, signing out, opening a studio. */
final readonly class SignInController
{
    public function __construct(private OpenStudio $openStudio) {}

    #[OA\Post(
        path: '/api/sign-in',
        operationId: 'signIn',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: SignInBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function signIn(SignInBody $body): JsonResponse
    {
        // Only wrong passwords count: five for an address, thirty for a place, in a minute.
        $limits = ['sign-in|'.mb_strtolower($body->word('email')).'|'.$body->ip() => 5, 'sign-in|'.$body->ip() => 30];
        foreach ($limits as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw new ThrottleRequestsException(headers: ['Retry-After' => RateLimiter::availableIn($key)]);
            }
        }
        if (! Auth::attempt(['email' => mb_strtolower($body->word('email')), 'password' => $body->word('password')])) {
            array_map(RateLimiter::hit(...), array_keys($limits));

            return Problems::answer(422, 'password', null, 'E-mail and password do not go together. Check both; after five tries wait a minute.', 'Nothing was changed.');
        }
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/sign-out',
        operationId: 'signOut',
        responses: [new OA\Response(response: 204, description: 'as asked'), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/studios',
        operationId: 'openStudio',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: OpenStudioBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function open(OpenStudioBody $body): JsonResponse
    {
        $user = ($this->openStudio)($body->word('studio'), $body->word('name'), $body->word('email'), $body->word('password'), $body->word('timezone'));
        Auth::login($user);
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }
}
