<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Problems;
use App\Http\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Password;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Ways in and out: signing in, a new password, an invitation, a studio of one's own. */
final readonly class SignInController
{
    #[OA\Post(
        path: '/api/sign-in',
        operationId: 'signIn',
        requestBody: new Sent(SignInBody::class),
        responses: [new Answer, new Problem],
    )]
    public function signIn(SignInBody $body, SignInThrottle $throttle): JsonResponse
    {
        $email = mb_strtolower($body->word('email'));
        $throttle->check($email, (string) $body->ip());
        if (! PasswordCheck::attempt($email, $body->word('password'))) {
            $throttle->failed($email, (string) $body->ip());

            return Problems::answer(422, 'password', null, 'E-mail and password do not go together. Check both; after five tries wait a minute.', 'Nothing was changed.');
        }
        $throttle->passed($email, (string) $body->ip());
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/sign-out',
        operationId: 'signOut',
        responses: [new Answer, new Problem],
    )]
    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/forgot-password',
        operationId: 'forgotPassword',
        requestBody: new Sent(ForgotBody::class),
        responses: [new Answer(description: 'a link is on its way, if there is such an account'), new Problem],
    )]
    public function forgot(ForgotBody $body): JsonResponse
    {
        // The same answer whoever it is.
        Password::sendResetLink(['email' => mb_strtolower($body->word('email'))]);

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/new-password',
        operationId: 'newPassword',
        requestBody: new Sent(NewPasswordBody::class),
        responses: [new Answer, new Problem],
    )]
    public function newPassword(NewPasswordBody $body, ChangePassword $change): JsonResponse
    {
        $status = Password::reset(['email' => mb_strtolower($body->word('email')), 'token' => $body->word('token'), 'password' => $body->word('password')], $change(...));
        $status === Password::PASSWORD_RESET || throw InputError::at('token', null, __('passwords.token'));

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/registration',
        operationId: 'registration',
        responses: [new Answer(RegistrationView::class), new Problem],
    )]
    public function registration(Registration $registration): JsonResponse
    {
        return new JsonResponse(new RegistrationView($registration->isOpen(), $registration->isFirst()));
    }

    #[OA\Post(
        path: '/api/studios',
        operationId: 'openStudio',
        requestBody: new Sent(OpenStudioBody::class),
        responses: [new Answer, new Problem],
    )]
    public function openStudio(OpenStudioBody $body, Registration $registration): JsonResponse
    {
        $user = $registration->open($body->wordOrNull('link'), $body->word('studio'), $body->word('name'), $body->word('email'), $body->word('password'), $body->word('timezone'));
        Auth::login($user);
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/join/{token}',
        operationId: 'invitation',
        parameters: [new InPath('token')],
        responses: [new Answer(JoinView::class), new Problem],
    )]
    public function invitation(string $token, JoinStudio $join): JsonResponse
    {
        return new JsonResponse($join->show($token));
    }

    #[OA\Post(
        path: '/api/join/{token}',
        operationId: 'joinStudio',
        parameters: [new InPath('token')],
        requestBody: new Sent(JoinBody::class),
        responses: [new Answer, new Problem],
    )]
    public function join(JoinBody $body, string $token, JoinStudio $join): JsonResponse
    {
        Auth::login($join($token, $body->word('name'), $body->word('email'), $body->word('password')));
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }
}
