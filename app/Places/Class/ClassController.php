<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Answer;
use App\Http\ChoiceBody;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Models\Student;
use App\Places\Studio\MoveStudent;
use App\Records\AssignLesson;
use App\Records\ReadClass;
use App\Records\RoomBook;
use App\Records\Shelf;
use App\Support\Conflict;
use App\Support\Who;
use App\Views\AdviceView;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** Classes: the session in hand, students and skills, the next lesson. */
final readonly class ClassController
{
    #[OA\Get(
        path: '/api/classes/{class}',
        operationId: 'showClass',
        parameters: [new InPath('class')],
        responses: [new Answer(ClassView::class), new Problem],
    )]
    public function show(Request $request, string $class, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show($this->find($class), Who::asks($request)->unit));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students',
        operationId: 'addStudents',
        parameters: [new InPath('class')],
        requestBody: new Sent(StudentsBody::class),
        responses: [new Answer, new Problem],
    )]
    public function addStudents(StudentsBody $body, string $class, AddStudents $add, MoveStudent $move): JsonResponse
    {
        $found = $this->find($class);
        DB::transaction(function () use ($found, $body, $add, $move): void {
            $add($found, $body->words('students'));
            foreach ($body->words('returning') as $student) {
                $move->comeBack($found->studio_id, Student::query()->findOrFail($student)->id, $found);
            }
        });

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/skills/{skill}',
        operationId: 'skillEvidence',
        parameters: [new InPath('class'), new InPath('student'), new InPath('skill')],
        responses: [new Answer(SkillEvidenceView::class), new Problem],
    )]
    public function evidence(Request $request, string $class, string $student, string $skill, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show->evidence($this->find($class), $student, $skill, Who::asks($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'nextLesson',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(AdviceView::class), new Problem],
    )]
    public function next(Request $request, string $class, string $student, ReadClass $read, Shelf $shelf): JsonResponse
    {
        $s = $read($this->find($class), Who::asks($request)->unit, $student)->students[$student] ?? throw new ModelNotFoundException;

        return new JsonResponse(AdviceView::of($s->advice, $shelf->bundle(), RoomBook::read()));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'chooseNext',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(ChoiceBody::class),
        responses: [new Answer, new Problem],
    )]
    public function chooseNext(ChoiceBody $body, string $class, string $student, ReadClass $read, AssignLesson $assign): JsonResponse
    {
        $found = $this->find($class);
        $s = $read($found, $body->teacher()->unit, $student)->students[$student] ?? throw new ModelNotFoundException;
        $choice = $body->choice();
        $choice->given === null || $choice->given === ($s->assigned->id ?? '') || throw Conflict::staleChoice($s->enrolment->student->name);
        $assign($found, $s->enrolment->student, $s->advice, $choice);

        return new JsonResponse(null, 204);
    }

    /** Another studio's class is not found. */
    private function find(string $class): SewingClass
    {
        return SewingClass::query()->findOrFail($class);
    }
}
