<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Students renamed, moved, deleted and brought back; what is kept of them, as a file. */
final readonly class KeptStudentController
{
    public function __construct(private Remove $remove, private MoveStudent $move) {}

    #[OA\Put(
        path: '/api/classes/{class}/students/{student}/name',
        operationId: 'renameStudent',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(RenameBody::class),
        responses: [new Answer, new Problem],
    )]
    public function rename(RenameBody $body, SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student);
        $student->update(['name' => $body->word('name')]);

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/{student}/move',
        operationId: 'moveStudent',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(MoveBody::class),
        responses: [new Answer, new Problem],
    )]
    public function move(MoveBody $body, SewingClass $class, Student $student): JsonResponse
    {
        $to = SewingClass::query()->find($body->word('to')) ?? throw InputError::at('to', $body->word('to'), 'There is no such class in this studio.');
        ($this->move)($this->enrolment($class, $student), $to);

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}/seat',
        operationId: 'takeOut',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(description: 'taken out of this class; the history stays'), new Problem],
    )]
    public function takeOut(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student)->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/goes',
        operationId: 'whatGoesWithStudent',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(GoesView::class), new Problem],
    )]
    public function studentGoes(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student);

        return new JsonResponse($this->remove->studentGoes($student));
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}',
        operationId: 'deleteStudent',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(description: 'deleted; brought back until thirty days later'), new Problem],
    )]
    public function deleteStudent(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student);
        $student->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/students/{student}/restore',
        operationId: 'restoreStudent',
        parameters: [new InPath('student')],
        responses: [new Answer, new Problem],
    )]
    public function restoreStudent(string $student): JsonResponse
    {
        Student::query()->onlyTrashed()->findOrFail($student)->restore();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/data',
        operationId: 'studentData',
        parameters: [new InPath('class'), new InPath('student'), new InQuery('as', required: true, among: ['json', 'pdf'])],
        responses: [new FileAnswer('application/octet-stream', 'everything that is kept of one student'), new Problem],
    )]
    public function data(Request $request, SewingClass $class, Student $student, StudentFile $file): Response
    {
        $this->enrolment($class, $student);
        $as = $request->query('as');

        return match ($as) {
            'json' => new Response($file->json($student), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="student.json"']),
            'pdf' => new Response($file->pdf($student), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="student.pdf"']),
            default => throw InputError::at('as', $as, 'It must be one of: json, pdf.'),
        };
    }

    #[OA\Get(
        path: '/api/students',
        operationId: 'knownStudents',
        parameters: [new InQuery('q')],
        responses: [new Answer(KnownStudentView::class, list: true, description: 'who was in a class before'), new Problem],
    )]
    public function known(Request $request, KnownStudents $known): JsonResponse
    {
        $q = $request->query('q');

        return new JsonResponse($known(is_string($q) ? $q : ''));
    }

    private function enrolment(SewingClass $class, Student $student): Enrolment
    {
        return Enrolment::query()->where('class_id', $class->id)->where('student_id', $student->id)->firstOrFail();
    }
}
