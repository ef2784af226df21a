<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Problem;
use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** Classes and students renamed, moved, put away, deleted and brought back; what is kept of a student, as a file. */
final readonly class KeepingController
{
    public function __construct(private Remove $remove, private MoveStudent $move) {}

    #[OA\Patch(
        path: '/api/classes/{class}',
        operationId: 'updateClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: ClassBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function updateClass(ClassBody $body, SewingClass $class): JsonResponse
    {
        $class->update((array) $body->validated());

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/archive',
        operationId: 'archiveClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'put away: it is listed on the page of the studio'), new Problem],
    )]
    public function archive(SewingClass $class): JsonResponse
    {
        $class->update(['archived_at' => now()]);

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/archive',
        operationId: 'unarchiveClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function unarchive(SewingClass $class): JsonResponse
    {
        $class->update(['archived_at' => null]);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/goes',
        operationId: 'whatGoesWithClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: GoesView::class)), new Problem],
    )]
    public function classGoes(SewingClass $class): JsonResponse
    {
        return new JsonResponse($this->remove->classGoes($class));
    }

    #[OA\Delete(
        path: '/api/classes/{class}',
        operationId: 'deleteClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'deleted; brought back until thirty days later'), new Problem],
    )]
    public function deleteClass(SewingClass $class): JsonResponse
    {
        $class->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/restore',
        operationId: 'restoreClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function restoreClass(string $class): JsonResponse
    {
        SewingClass::query()->onlyTrashed()->findOrFail($class)->restore();

        return new JsonResponse(null, 204);
    }

    #[OA\Put(
        path: '/api/classes/{class}/students/{student}/name',
        operationId: 'renameStudent',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: RenameBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
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
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MoveBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
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
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'taken out of this class; the history stays'), new Problem],
    )]
    public function takeOut(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student)->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/goes',
        operationId: 'whatGoesWithStudent',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: GoesView::class)), new Problem],
    )]
    public function studentGoes(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class, $student);

        return new JsonResponse($this->remove->studentGoes($student));
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}',
        operationId: 'deleteStudent',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'deleted; brought back until thirty days later'), new Problem],
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
        parameters: [new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function restoreStudent(string $student): JsonResponse
    {
        Student::query()->onlyTrashed()->findOrFail($student)->restore();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/data',
        operationId: 'studentData',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'as', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: ['json', 'pdf']))],
        responses: [new OA\Response(response: 200, description: 'everything that is kept of one student', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))), new Problem],
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
        parameters: [new OA\Parameter(name: 'q', in: 'query', required: false, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'who was in a class before', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: KnownStudentView::class))), new Problem],
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
