<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Places\Room\ShowDials;
use App\Records\Shelf;
use App\Views\DialView;
use App\Views\LessonView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;

/** The lessons on the shelf, as a class is taught them where one is named. */
final readonly class LessonController
{
    #[OA\Get(
        path: '/api/lessons',
        operationId: 'lessons',
        parameters: [new InQuery('class', description: 'in the ways this class is taught')],
        responses: [new Answer(LessonView::class, list: true), new Problem],
    )]
    public function index(Request $request, Shelf $shelf): JsonResponse
    {
        $bundle = $shelf->asTaught($request->string('class')->toString());

        return new JsonResponse(array_values(array_map(fn (Lesson $l): LessonView => LessonView::of($l, $bundle), $bundle->lessons)));
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/dials',
        operationId: 'dials',
        parameters: [new InPath('lesson'), new InQuery('class', description: 'in the way this class is taught')],
        responses: [new Answer(DialView::class, list: true), new Problem],
    )]
    public function dials(Request $request, string $lesson, Shelf $shelf, ShowDials $show): JsonResponse
    {
        return new JsonResponse($show($shelf->asTaught($request->string('class')->toString())->lesson($lesson)));
    }

    #[OA\Put(
        path: '/api/classes/{class}/schools',
        operationId: 'chooseSchools',
        parameters: [new InPath('class')],
        requestBody: new Sent(SchoolsBody::class),
        responses: [new Answer(LessonView::class, description: 'the lesson as this class is taught it now'), new Problem],
    )]
    public function choose(SchoolsBody $body, SewingClass $class, ChooseSchools $choose, Shelf $shelf): JsonResponse
    {
        return new JsonResponse(LessonView::of($choose($class, $body->word('lesson'), $body->words('schools')), $shelf->bundle()));
    }
}
