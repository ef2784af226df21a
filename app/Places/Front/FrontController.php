<?php

declare(strict_types=1);

namespace App\Places\Front;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Records\Shelf;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The screen at the front of the room, and the phone that turns its pages. */
final readonly class FrontController
{
    #[OA\Get(
        path: '/api/classes/{class}/front',
        operationId: 'front',
        parameters: [new InPath('class')],
        responses: [new Answer(FrontView::class, description: 'what it shows'), new Problem],
    )]
    public function show(SewingClass $class, TurnPage $pages): JsonResponse
    {
        return new JsonResponse($pages->read($class));
    }

    #[OA\Put(
        path: '/api/classes/{class}/front',
        operationId: 'turnFront',
        parameters: [new InPath('class')],
        requestBody: new Sent(FrontBody::class),
        responses: [new Answer(FrontView::class, description: 'what it shows from now on'), new Problem],
    )]
    public function turn(FrontBody $body, SewingClass $class, TurnPage $pages, Shelf $shelf): JsonResponse
    {
        // One that is not on the shelf could not be shown.
        $lesson = $shelf->asTaught($class->id)->lesson($body->word('lesson'));

        return new JsonResponse($pages($class, $lesson->id, $body->whole('at'), $body->wordOrNull('begun_at')));
    }
}
