<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Answer;
use App\Http\ChoiceBody;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use App\Records\AssignLesson;
use App\Records\ReadClass;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\Conflict;
use App\Support\Who;
use App\Views\AdviceView;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\NameList;

/** Classes: the session in hand, students and skills, the next lesson. */
final readonly class ClassController
{
    #[OA\Get(
        path: '/api/classes/{class}',
        operationId: 'showClass',
        parameters: [new InPath('class')],
        responses: [new Answer(ClassView::class), new Problem],
    )]
    public function show(Request $request, SewingClass $class, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show($class, Who::asks($request)->unit));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students',
        operationId: 'addStudents',
        parameters: [new InPath('class')],
        requestBody: new Sent(StudentsBody::class),
        responses: [new Answer, new Problem],
    )]
    public function addStudents(StudentsBody $body, SewingClass $class, AddStudents $add): JsonResponse
    {
        DB::transaction(fn () => $add($class, $body->comers()));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/read',
        operationId: 'readNames',
        parameters: [new InPath('class')],
        requestBody: new Sent(NamesBody::class),
        responses: [new Answer(NamesView::class, description: 'what was understood; nobody is added'), new Problem],
    )]
    public function readNames(NamesBody $body, SewingClass $class): JsonResponse
    {
        $taken = $class->enrolments()->with('student')->whereHas('student')->get()->mapWithKeys(fn (Enrolment $e): array => [$e->student->name => $e->seat])->all();

        return new JsonResponse(NamesView::of(NameList::read($body->word('text'), $taken)));
    }

    #[OA\Post(
        path: '/api/students/read',
        operationId: 'readNewNames',
        requestBody: new Sent(NamesBody::class),
        responses: [new Answer(NamesView::class, description: 'what was understood, for a class that is not there yet'), new Problem],
    )]
    public function readNewNames(NamesBody $body): JsonResponse
    {
        return new JsonResponse(NamesView::of(NameList::read($body->word('text'), [])));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/skills/{skill}',
        operationId: 'skillEvidence',
        parameters: [new InPath('class'), new InPath('student'), new InPath('skill')],
        responses: [new Answer(SkillEvidenceView::class), new Problem],
    )]
    public function evidence(Request $request, SewingClass $class, Student $student, string $skill, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show->evidence($class, $student->id, $skill, Who::asks($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'nextLesson',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(AdviceView::class), new Problem],
    )]
    public function next(Request $request, SewingClass $class, Student $student, ReadClass $read, Shelf $shelf): JsonResponse
    {
        $s = $read($class, Who::asks($request)->unit, $student->id)->students[$student->id] ?? throw new ModelNotFoundException;

        return new JsonResponse(AdviceView::of($s->advice, $shelf->bundle(), RoomInventory::read()));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'chooseNext',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(ChoiceBody::class),
        responses: [new Answer, new Problem],
    )]
    public function chooseNext(ChoiceBody $body, SewingClass $class, Student $student, ReadClass $read, AssignLesson $assign): JsonResponse
    {
        $s = $read($class, $body->teacher()->unit, $student->id)->students[$student->id] ?? throw new ModelNotFoundException;
        $choice = $body->choice();
        if ($s->wasGiven($choice)) {
            // Said twice, it is given once.
            return new JsonResponse(null, 204);
        }
        $choice->given === null || $choice->given === ($s->assigned->id ?? '') || throw Conflict::staleChoice($s->enrolment->student->name);
        $assign($class, $s->enrolment->student, $s->advice, $choice);

        return new JsonResponse(null, 204);
    }
}
