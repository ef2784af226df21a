<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Records\RebuildStandings;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Classes renamed, put away, deleted and brought back. */
final readonly class KeptClassController
{
    public function __construct(private Remove $remove) {}

    #[OA\Patch(
        path: '/api/classes/{class}',
        operationId: 'updateClass',
        parameters: [new InPath('class')],
        requestBody: new Sent(ClassBody::class),
        responses: [new Answer, new Problem],
    )]
    public function updateClass(ClassBody $body, SewingClass $class): JsonResponse
    {
        $class->update((array) $body->validated());

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/archive',
        operationId: 'archiveClass',
        parameters: [new InPath('class')],
        responses: [new Answer(description: 'put away: it is listed on the page of the studio'), new Problem],
    )]
    public function archive(SewingClass $class): JsonResponse
    {
        $class->update(['archived_at' => now()]);

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/archive',
        operationId: 'unarchiveClass',
        parameters: [new InPath('class')],
        responses: [new Answer, new Problem],
    )]
    public function unarchive(SewingClass $class, RebuildStandings $rebuild): JsonResponse
    {
        $class->update(['archived_at' => null]);
        // The rules may have changed since it was put away.
        $rebuild->ofClass($class);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/goes',
        operationId: 'whatGoesWithClass',
        parameters: [new InPath('class')],
        responses: [new Answer(GoesView::class), new Problem],
    )]
    public function classGoes(SewingClass $class): JsonResponse
    {
        return new JsonResponse($this->remove->classGoes($class));
    }

    #[OA\Delete(
        path: '/api/classes/{class}',
        operationId: 'deleteClass',
        parameters: [new InPath('class')],
        responses: [new Answer(description: 'deleted; brought back until thirty days later'), new Problem],
    )]
    public function deleteClass(SewingClass $class): JsonResponse
    {
        $class->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/restore',
        operationId: 'restoreClass',
        parameters: [new InPath('class')],
        responses: [new Answer, new Problem],
    )]
    public function restoreClass(string $class): JsonResponse
    {
        SewingClass::query()->onlyTrashed()->findOrFail($class)->restore();

        return new JsonResponse(null, 204);
    }
}
