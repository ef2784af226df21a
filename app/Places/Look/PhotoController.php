<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Views\PhotoView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Photos of samples: seen by their own studio and nobody else. */
final readonly class PhotoController
{
    #[OA\Post(
        path: '/api/samples/{sample}/photos',
        operationId: 'keepPhoto',
        requestBody: new OA\RequestBody(required: true, description: 'a JPEG, PNG or WebP', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        parameters: [new InPath('sample'), new OA\Parameter(name: 'id', in: 'query', required: true, description: 'a ULID made where it was taken', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'row', in: 'query', required: false, description: 'of the lesson; left out for the whole piece', schema: new OA\Schema(type: 'string'))],
        responses: [new Answer(PhotoView::class, status: 201, description: 'kept'), new Problem],
    )]
    public function store(Request $request, string $sample, KeepPhoto $keep): JsonResponse
    {
        $of = Sample::query()->findOrFail($sample);
        Gate::authorize('view', $of);
        $id = $request->query('id');
        is_string($id) && Str::isUlid($id) || throw InputError::at('id', $id, '“id” must be an id of 26 letters and digits (ULID).');
        $row = $request->query('row');

        return new JsonResponse(PhotoView::of($keep($of, strtolower($id), is_string($row) && $row !== '' ? $row : null, $request->getContent())), 201);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/photos',
        operationId: 'photos',
        parameters: [new InPath('class'), new InPath('student'), new OA\Parameter(name: 'lesson', in: 'query', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new Answer(PhotoView::class, list: true, description: 'of the samples of this lesson, newest first'), new Problem],
    )]
    public function index(Request $request, string $class, string $student): JsonResponse
    {
        Enrolment::query()->where('class_id', $class)->where('student_id', $student)->firstOrFail();

        return new JsonResponse(array_values(SamplePhoto::ofLesson($student, $request->string('lesson')->toString())->map(PhotoView::of(...))->all()));
    }

    #[OA\Get(
        path: '/api/photos/{photo}',
        operationId: 'photo',
        parameters: [new InPath('photo')],
        responses: [new OA\Response(response: 200, description: 'the picture', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary'))), new Problem],
    )]
    public function show(string $photo): Response
    {
        $found = SamplePhoto::query()->findOrFail($photo);
        Gate::authorize('view', Sample::query()->findOrFail($found->sample_id));

        return new Response($found->image, 200, ['Content-Type' => 'image/jpeg']);
    }

    #[OA\Delete(
        path: '/api/photos/{photo}',
        operationId: 'dropPhoto',
        parameters: [new InPath('photo')],
        responses: [new Answer(description: 'removed for good'), new Problem],
    )]
    public function drop(string $photo): JsonResponse
    {
        $found = SamplePhoto::listed()->findOrFail($photo);
        Gate::authorize('change', Sample::query()->findOrFail($found->sample_id));
        $found->delete();

        return new JsonResponse(null, 204);
    }
}
