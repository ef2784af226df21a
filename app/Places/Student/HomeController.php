<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** A student's own machine: said by the teacher, or by the student behind their own link. */
final readonly class HomeController
{
    public function __construct(private KeepHome $keep) {}

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/home',
        operationId: 'home',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(HomeView::class, description: 'their own machine'), new Problem],
    )]
    public function show(SewingClass $class, Student $student): JsonResponse
    {
        return new JsonResponse($this->keep->show($this->inClass($class, $student)));
    }

    #[OA\Put(
        path: '/api/classes/{class}/students/{student}/home',
        operationId: 'sayHome',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(HomeBody::class),
        responses: [new Answer(description: 'kept'), new Problem],
    )]
    public function say(HomeBody $body, SewingClass $class, Student $student): JsonResponse
    {
        ($this->keep)($this->inClass($class, $student), $body->home());

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}/home',
        operationId: 'forgetHome',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(description: 'nothing is known of it any more'), new Problem],
    )]
    public function forget(SewingClass $class, Student $student): JsonResponse
    {
        ($this->keep)($this->inClass($class, $student), null);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/page/{token}/home',
        operationId: 'ownHome',
        parameters: [new InPath('token')],
        responses: [new Answer(HomeView::class, description: 'their own machine'), new Problem],
    )]
    public function showOwn(string $token, ShowOwnPage $page): JsonResponse
    {
        return new JsonResponse($page->homeOf($token, $this->keep));
    }

    #[OA\Put(
        path: '/api/page/{token}/home',
        operationId: 'sayOwnHome',
        parameters: [new InPath('token')],
        requestBody: new Sent(HomeBody::class),
        responses: [new Answer(description: 'kept'), new Problem],
    )]
    public function sayOwn(HomeBody $body, string $token, ShowOwnPage $page): JsonResponse
    {
        $page->say($token, $body->home(), $this->keep);

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/page/{token}/home',
        operationId: 'forgetOwnHome',
        parameters: [new InPath('token')],
        responses: [new Answer(description: 'nothing is known of it any more'), new Problem],
    )]
    public function forgetOwn(string $token, ShowOwnPage $page): JsonResponse
    {
        $page->say($token, null, $this->keep);

        return new JsonResponse(null, 204);
    }

    private function inClass(SewingClass $class, Student $student): Student
    {
        return Enrolment::query()->where('class_id', $class->id)->where('student_id', $student->id)->firstOrFail()->student()->firstOrFail();
    }
}
