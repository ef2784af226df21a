<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Photos\PhotoPlaces;
use App\Views\PhotoView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;

/** Photos of samples: seen by their own studio and nobody else. */
final readonly class PhotoController
{
    #[OA\Post(
        path: '/api/samples/{sample}/photos',
        operationId: 'keepPhoto',
        requestBody: new OA\RequestBody(required: true, description: 'a JPEG, PNG or WebP', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        parameters: [
            new InPath('sample'),
            new InQuery('id', required: true, description: 'a ULID made where it was taken'),
            new InQuery('row', description: 'of the lesson; left out for the whole piece'),
        ],
        responses: [new Answer(PhotoView::class, status: 201, description: 'kept'), new Problem],
    )]
    public function store(PhotoBody $body, Sample $sample, KeepPhoto $keep): JsonResponse
    {
        Gate::authorize('view', $sample);

        return new JsonResponse(PhotoView::of($keep($sample, strtolower($body->word('id')), $body->wordOrNull('row'), $body->getContent())), 201);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/photos',
        operationId: 'photos',
        parameters: [new InPath('class'), new InPath('student'), new InQuery('lesson', required: true)],
        responses: [new Answer(PhotoView::class, list: true, description: 'of the samples of this lesson, newest first'), new Problem],
    )]
    public function index(Request $request, SewingClass $class, Student $student): JsonResponse
    {
        return new JsonResponse(array_values(SamplePhoto::ofLesson($student->id, $request->string('lesson')->toString())->map(PhotoView::of(...))->all()));
    }

    #[OA\Get(
        path: '/api/photos/{photo}',
        operationId: 'photo',
        parameters: [new InPath('photo')],
        responses: [new FileAnswer('image/jpeg', 'the picture'), new Problem],
    )]
    public function show(SamplePhoto $photo, PhotoPlaces $places): Response
    {
        Gate::authorize('view', $photo);

        return new Response($places->of($photo), 200, ['Content-Type' => 'image/jpeg']);
    }

    #[OA\Delete(
        path: '/api/photos/{photo}',
        operationId: 'dropPhoto',
        parameters: [new InPath('photo')],
        responses: [new Answer(description: 'removed for good'), new Problem],
    )]
    public function drop(SamplePhoto $photo, PhotoPlaces $places): JsonResponse
    {
        Gate::authorize('change', $photo);
        $photo->delete();
        $places->drop($photo);

        return new JsonResponse(null, 204);
    }
}
