<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Student;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\Who;
use App\Views\JudgedView;
use App\Views\Titles;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Looking at samples and keeping them. */
final readonly class SampleController
{
    /** Older ones are put right where there is a line. */
    private const NEWEST = 12;

    public function __construct(private Shelf $shelf) {}

    #[OA\Post(
        path: '/api/samples/preview',
        operationId: 'previewSample',
        requestBody: new Sent(PreviewBody::class),
        responses: [new Answer(JudgedView::class), new Problem],
    )]
    public function preview(PreviewBody $body, JudgeSample $judge): JsonResponse
    {
        [$class, $student] = $this->find($body);
        $judged = $judge($class, $student, $body->word('lesson'), $body->readings(), $body->words('faults'), $body->teacher()->unit, strtolower($body->wordOrNull('id') ?? 'preview'), $body->wordOrNull('replaces'), $body->version(), $body->overruled(), $body->wordOrNull('drill'), $body->way());

        return new JsonResponse(JudgedView::of($judged, $this->shelf->bundle(), RoomInventory::read()));
    }

    #[OA\Post(
        path: '/api/samples',
        operationId: 'keepSample',
        requestBody: new Sent(SampleBody::class),
        responses: [new Answer(KeptView::class, status: 201), new Problem],
    )]
    public function store(SampleBody $body, RecordSample $record): JsonResponse
    {
        [$class, $student] = $this->find($body);
        $sample = $body->sample();
        $judged = $record($body->teacher(), $class, $student, $sample);
        $advice = $judged->advice;
        $overruled = $sample->choice !== null && ($sample->choice->lesson !== $advice->lesson || $sample->choice->drill !== $advice->drill?->id);

        return new JsonResponse(new KeptView(
            $sample->id, $student->id, JudgedView::of($judged, $this->shelf->bundle(), RoomInventory::read()),
            $overruled ? Titles::of($this->shelf->bundle(), $sample->choice->lesson, $sample->choice->drill) : Titles::of($this->shelf->bundle(), $advice->lesson, $advice->drill?->id),
            $overruled,
        ), 201);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/samples',
        operationId: 'newestSamples',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(SampleView::class, list: true, description: 'their newest samples, to put them right also where there is no line'), new Problem],
    )]
    public function newest(Request $request, SewingClass $class, Student $student, ShowSample $show): JsonResponse
    {
        Enrolment::query()->where('class_id', $class->id)->where('student_id', $student->id)->firstOrFail();

        return new JsonResponse($show->newest($student->id, Who::asks($request), self::NEWEST));
    }

    #[OA\Get(
        path: '/api/samples/{sample}',
        operationId: 'showSample',
        parameters: [new InPath('sample')],
        responses: [new Answer(SampleView::class, description: 'the sample as it stands now'), new Problem],
    )]
    public function show(Request $request, Sample $sample, ShowSample $show): JsonResponse
    {
        Gate::authorize('view', $sample);

        return new JsonResponse($show($sample, Who::asks($request)));
    }

    #[OA\Post(
        path: '/api/samples/{sample}/notes',
        operationId: 'annotateSample',
        parameters: [new InPath('sample')],
        requestBody: new Sent(NoteBody::class),
        responses: [new Answer(SampleView::class, description: 'the sample as it stands now'), new Problem],
    )]
    public function annotate(NoteBody $body, Sample $sample, MarkSample $mark, ShowSample $show): JsonResponse
    {
        Gate::authorize('change', $sample);
        $mark->annotate($body->teacher(), $sample, $body->word('text'), $body->wordOrNull('id') === null ? null : strtolower($body->word('id')));

        return new JsonResponse($show($sample, $body->teacher()));
    }

    #[OA\Post(
        path: '/api/samples/{sample}/withdraw',
        operationId: 'withdrawSample',
        parameters: [new InPath('sample')],
        requestBody: new Sent(WithdrawBody::class),
        responses: [new Answer(SampleView::class, description: 'the sample as it stands now'), new Problem],
    )]
    public function withdraw(WithdrawBody $body, Sample $sample, MarkSample $mark, ShowSample $show): JsonResponse
    {
        Gate::authorize('change', $sample);
        $mark->withdraw($body->teacher(), $sample, $body->word('because'));

        return new JsonResponse($show($sample, $body->teacher()));
    }

    #[OA\Delete(
        path: '/api/samples/{sample}/withdraw',
        operationId: 'bringSampleBack',
        parameters: [new InPath('sample')],
        responses: [new Answer(SampleView::class, description: 'the sample as it stands now'), new Problem],
    )]
    public function bringBack(Request $request, Sample $sample, MarkSample $mark, ShowSample $show): JsonResponse
    {
        Gate::authorize('change', $sample);
        $mark->bringBack(Who::asks($request), $sample);

        return new JsonResponse($show($sample, Who::asks($request)));
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
        $student = Student::query()->whereIn('id', Enrolment::query()->where('class_id', $class->id)->select('student_id'))->find($body->word('student'));

        return [$class, $student ?? throw InputError::at('student', $body->word('student'), 'There is no such student in this class.')];
    }
}
