<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddStudents;
use App\Actions\AssignLesson;
use App\Actions\PlanCourse;
use App\Actions\ReadClass;
use App\Actions\ShowClass;
use App\Actions\ShowLook;
use App\Actions\ShowToday;
use App\Http\Requests\ChoiceBody;
use App\Http\Requests\NewClassBody;
use App\Http\Requests\StudentsBody;
use App\Http\Resources\AdviceView;
use App\Http\Resources\ClassView;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\LookView;
use App\Http\Resources\NamedView;
use App\Http\Resources\PulseView;
use App\Http\Resources\SkillEvidenceView;
use App\Http\Resources\TodayView;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Places\Studio\MoveStudent;
use App\Support\ClassPulse;
use App\Support\Conflict;
use App\Support\RoomBook;
use App\Support\Shelf;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** Classes: the session in hand, students and skills, the next lesson. */
final readonly class ClassController
{
    #[OA\Post(
        path: '/api/classes',
        operationId: 'newClass',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewClassBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: NamedView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function store(NewClassBody $body, PlanCourse $plan, Shelf $shelf): JsonResponse
    {
        $course = $body->word('course', (string) array_key_first($shelf->bundle()->courses));
        $from = $body->wordOrNull('from') === null ? null : $this->find($body->word('from'));
        $class = $plan($body->teacher()->studio_id, $body->word('name'), $course, $body->words('students'), $body->checkedDates(), $body->whole('helpers'), $body->whole('machines'), $body->wishes(), $body->frame(), $from, $body->teacher()->id);

        return new JsonResponse(new NamedView($class->id, $class->name), 201);
    }

    #[OA\Get(
        path: '/api/classes/{class}',
        operationId: 'showClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: ClassView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function show(Request $request, string $class, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show($this->find($class), $this->teacher($request)->unit));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students',
        operationId: 'addStudents',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: StudentsBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
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
        path: '/api/classes/{class}/today',
        operationId: 'today',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: TodayView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function today(Request $request, string $class, ShowToday $show): JsonResponse
    {
        return new JsonResponse($show($this->find($class), $this->teacher($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/look',
        operationId: 'look',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'lesson', in: 'query', required: false, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'version', in: 'query', required: false, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'replaces', in: 'query', required: false, description: 'a kept sample that is corrected: its lesson, version and drill', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'machine', in: 'query', required: false, description: 'it was sewn on; where the student sits when it is not given', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'schools', in: 'query', required: false, description: 'it was sewn by, ids with commas; as the class is taught when it is not given', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: LookView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function look(Request $request, string $class, string $student, ShowLook $show): JsonResponse
    {
        $lesson = $request->query('lesson');
        $version = $request->query('version');
        $replaces = $request->query('replaces');
        $machine = $request->string('machine')->toString();

        return new JsonResponse($show(
            $this->find($class), $student, is_string($lesson) && $lesson !== '' ? $lesson : null, $this->teacher($request)->unit,
            is_string($version) && ctype_digit($version) ? (int) $version : null, is_string($replaces) && $replaces !== '' ? strtolower($replaces) : null,
            $machine !== '' ? $machine : null, $request->has('schools') ? array_values(array_filter(explode(',', $request->string('schools')->toString()))) : null,
        ));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/skills/{skill}',
        operationId: 'skillEvidence',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'skill', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: SkillEvidenceView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function evidence(Request $request, string $class, string $student, string $skill, ShowClass $show): JsonResponse
    {
        return new JsonResponse($show->evidence($this->find($class), $student, $skill, $this->teacher($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'nextLesson',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: AdviceView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function next(Request $request, string $class, string $student, ReadClass $read, Shelf $shelf): JsonResponse
    {
        $s = $read($this->find($class), $this->teacher($request)->unit, $student)->students[$student] ?? throw new ModelNotFoundException;

        return new JsonResponse(AdviceView::of($s->advice, $shelf->bundle(), RoomBook::read()));
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/{student}/next',
        operationId: 'chooseNext',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: ChoiceBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
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

    #[OA\Get(
        path: '/api/classes/{class}/pulse',
        operationId: 'pulse',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'changes with everything that was kept or said of the class', content: new OA\JsonContent(ref: PulseView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function pulse(SewingClass $class): JsonResponse
    {
        return new JsonResponse(new PulseView(ClassPulse::of($class)));
    }

    /** Another studio's class is not found. */
    private function find(string $class): SewingClass
    {
        return SewingClass::query()->findOrFail($class);
    }

    private function teacher(Request $request): User
    {
        /** @var User $user the route is behind sign-in */
        $user = $request->user();

        return $user;
    }
}
