<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Answer;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Who is signed in, and what they set for themselves. */
final readonly class MeController
{
    public function __construct(private ShowMe $show, private Devices $devices) {}

    #[OA\Get(
        path: '/api/me',
        operationId: 'me',
        responses: [new Answer(MeView::class), new Problem],
    )]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(($this->show)(self::user($request)));
    }

    #[OA\Patch(
        path: '/api/me',
        operationId: 'updateMe',
        requestBody: new Sent(MeBody::class),
        responses: [new Answer(MeView::class), new Problem],
    )]
    public function update(MeBody $body): JsonResponse
    {
        $user = $body->teacher();
        $user->forceFill(array_intersect_key((array) $body->validated(), ['unit' => 1, 'name' => 1, 'hand' => 1, 'language' => 1]))->save();

        return new JsonResponse(($this->show)($user));
    }

    #[OA\Put(
        path: '/api/me/password',
        operationId: 'changePassword',
        requestBody: new Sent(ChangePasswordBody::class),
        responses: [new Answer, new Problem],
    )]
    public function password(ChangePasswordBody $body, ChangePassword $change): JsonResponse
    {
        $user = $body->teacher();
        Hash::check($body->word('current'), $user->password) || throw InputError::at('current', null, 'This is not your present password.');
        $change($user, $body->word('password'), $body->session()->getId());
        $body->session()->regenerate();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/me/devices',
        operationId: 'devices',
        responses: [new Answer(DeviceView::class, list: true), new Problem],
    )]
    public function devices(Request $request): JsonResponse
    {
        return new JsonResponse($this->devices->of(self::user($request), $request->session()->getId()));
    }

    #[OA\Delete(
        path: '/api/me/devices',
        operationId: 'signOutEverywhere',
        responses: [new Answer(description: 'signed out everywhere but here'), new Problem],
    )]
    public function signOutEverywhere(Request $request): JsonResponse
    {
        $this->devices->end(self::user($request), $request->session()->getId());

        return new JsonResponse(null, 204);
    }

    private static function user(Request $request): User
    {
        /** @var User $user the route is behind sign-in */
        $user = $request->user();

        return $user;
    }
}
