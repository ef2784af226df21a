<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Invitation;
use App\Models\Studio;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** The studio itself: its name and zone, its people, how long things are kept. */
final readonly class StudioController
{
    public function __construct(private ShowStudio $show) {}

    #[OA\Get(
        path: '/api/studio',
        operationId: 'studio',
        responses: [new Answer(StudioView::class), new Problem],
    )]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(($this->show)(self::user($request)));
    }

    #[OA\Patch(
        path: '/api/studio',
        operationId: 'updateStudio',
        requestBody: new Sent(StudioBody::class),
        responses: [new Answer(StudioView::class), new Problem],
    )]
    public function update(StudioBody $body): JsonResponse
    {
        $body->teacher()->studio->update((array) $body->validated());

        return new JsonResponse(($this->show)($body->teacher()));
    }

    #[OA\Post(
        path: '/api/studio/invitations',
        operationId: 'invite',
        requestBody: new Sent(InviteBody::class),
        responses: [new Answer(InvitedView::class, status: 201), new Problem],
    )]
    public function invite(InviteBody $body, InvitePerson $invite): JsonResponse
    {
        return new JsonResponse($invite($body->teacher(), $body->word('role'), $body->wordOrNull('email')), 201);
    }

    #[OA\Delete(
        path: '/api/studio/invitations/{invitation}',
        operationId: 'takeInvitationBack',
        parameters: [new InPath('invitation')],
        responses: [new Answer, new Problem],
    )]
    public function takeBack(Invitation $invitation): JsonResponse
    {
        $invitation->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Put(
        path: '/api/studio/people/{person}',
        operationId: 'changeRole',
        parameters: [new InPath('person')],
        requestBody: new Sent(RoleBody::class),
        responses: [new Answer, new Problem],
    )]
    public function role(RoleBody $body, User $person, ChangePeople $change): JsonResponse
    {
        $change->role($person, $body->word('role'));

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/studio/people/{person}',
        operationId: 'removePerson',
        parameters: [new InPath('person')],
        responses: [new Answer, new Problem],
    )]
    public function remove(User $person, ChangePeople $change): JsonResponse
    {
        $change->remove($person);

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/studio/close',
        operationId: 'closeStudio',
        requestBody: new Sent(CloseStudioBody::class),
        responses: [new Answer(description: 'deleted; brought back until thirty days later'), new Problem],
    )]
    public function close(CloseStudioBody $body): JsonResponse
    {
        $studio = $body->teacher()->studio;
        $body->word('name') === $studio->name || throw InputError::at('name', $body->word('name'), "Type the name of the studio, “{$studio->name}”, to delete it.");
        $studio->update(['deleted_at' => now()]);

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/studio/reopen',
        operationId: 'reopenStudio',
        responses: [new Answer, new Problem],
    )]
    public function reopen(Request $request): JsonResponse
    {
        self::user($request)->studio->update(['deleted_at' => null]);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/studio/privacy',
        operationId: 'privacyNote',
        responses: [new FileAnswer(FileAnswer::PDF, 'a page to hang up'), new Problem],
    )]
    public function privacy(Request $request, PrivacyNote $note): Response
    {
        return new Response($note(self::user($request)->studio), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="privacy.pdf"']);
    }

    private static function user(Request $request): User
    {
        /** @var User $user the route is behind sign-in */
        $user = $request->user();

        return $user;
    }
}
