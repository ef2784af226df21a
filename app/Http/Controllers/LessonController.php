<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ShowDials;
use App\Http\Resources\DialView;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\LessonView;
use App\Support\Shelf;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;

/** The lessons on the shelf. */
final readonly class LessonController
{
    #[OA\Get(
        path: '/api/lessons',
        operationId: 'lessons',
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LessonView::class))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function index(Shelf $shelf): JsonResponse
    {
        return new JsonResponse(array_values(array_map(fn (Lesson $l): LessonView => LessonView::of($l, $shelf->bundle()), $shelf->bundle()->lessons)));
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/dials',
        operationId: 'dials',
        parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: DialView::class))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function dials(string $lesson, Shelf $shelf, ShowDials $show): JsonResponse
    {
        return new JsonResponse($show($shelf->bundle()->lesson($lesson)));
    }
}
