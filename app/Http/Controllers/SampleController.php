<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\JudgeSample;
use App\Actions\RecordSample;
use App\Http\Requests\PreviewBody;
use App\Http\Requests\SampleBody;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\JudgedView;
use App\Http\Resources\KeptView;
use App\Http\Resources\Titles;
use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\RoomBook;
use App\Support\Shelf;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Looking at samples and keeping them. */
final readonly class SampleController
{
    public function __construct(private Shelf $shelf) {}

    #[OA\Post(
        path: '/api/samples/preview',
        operationId: 'previewSample',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: PreviewBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: JudgedView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function preview(PreviewBody $body, JudgeSample $judge): JsonResponse
    {
        [$class, $student] = $this->find($body);
        $judged = $judge($class, $student, $body->word('lesson'), $body->readings(), $body->words('faults'), $body->teacher()->unit, 'preview', $body->wordOrNull('replaces'), $body->version(), $body->overruled());

        return new JsonResponse(JudgedView::of($judged, $this->shelf->bundle(), RoomBook::read()));
    }

    #[OA\Post(
        path: '/api/samples',
        operationId: 'keepSample',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: SampleBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: KeptView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function store(SampleBody $body, RecordSample $record): JsonResponse
    {
        [$class, $student] = $this->find($body);
        $sample = $body->sample();
        $judged = $record($body->teacher(), $class, $student, $sample);
        $advice = $judged->advice;
        $overruled = $sample->choice !== null && ($sample->choice->lesson !== $advice->lesson || $sample->choice->drill !== $advice->drill?->id);

        return new JsonResponse(new KeptView(
            $sample->id, $student->id, JudgedView::of($judged, $this->shelf->bundle(), RoomBook::read()),
            $overruled ? Titles::of($this->shelf->bundle(), $sample->choice->lesson, $sample->choice->drill) : Titles::of($this->shelf->bundle(), $advice->lesson, $advice->drill?->id),
            $overruled,
        ), 201);
    }

    /**
     * @return array{SewingClass, Student}
     *
     * @throws InputError when the student is not in the class of this studio
     */
    private function find(PreviewBody $body): array
    {
        $class = SewingClass::query()->find($body->word('class'))
            ?? throw InputError::at('class', $body->word('class'), 'There is no such class in this studio.');
        $enrolment = Enrolment::seated($class->id, $body->word('student'))->first();
        if ($enrolment !== null) {
            return [$class, $enrolment->student];
        }
        throw InputError::at('student', $body->word('student'), 'There is no such student in this class.');
    }
}
