<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ListClasses;
use App\Http\Requests\MeBody;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\MeView;
use App\Http\Resources\NamedView;
use App\Models\User;
use App\Support\Clock;
use App\Support\Shelf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Who is signed in. */
final readonly class MeController
{
    public function __construct(private Shelf $shelf, private ListClasses $classes) {}

    #[OA\Get(
        path: '/api/me',
        operationId: 'me',
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: MeView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function show(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse($this->view($user));
    }

    #[OA\Patch(
        path: '/api/me',
        operationId: 'updateMe',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MeBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: MeView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function update(MeBody $body): JsonResponse
    {
        $user = $body->teacher();
        $user->forceFill(['unit' => $body->word('unit')])->save();

        return new JsonResponse($this->view($user));
    }

    private function view(User $user): MeView
    {
        $courses = $this->shelf->bundle()->courses;
        $named = array_map(fn (string $id, array $c): NamedView => new NamedView($id, $c['title']), array_keys($courses), $courses);

        return new MeView($user->name, $user->studio->name, $user->unit->value, $user->studio->timezone, Clock::now()->toIso8601ZuluString(), ($this->classes)(), array_values($named));
    }
}
