<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Answer;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Records\Shelf;
use App\Views\NamedView;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Planning\PlanWishes;

/** A class that is planned and begun. */
final readonly class NewClassController
{
    #[OA\Post(
        path: '/api/classes',
        operationId: 'newClass',
        requestBody: new Sent(NewClassBody::class),
        responses: [new Answer(NamedView::class, status: 201), new Problem],
    )]
    public function store(NewClassBody $body, PlanCourse $plan, Shelf $shelf): JsonResponse
    {
        $course = $body->word('course', (string) array_key_first($shelf->bundle()->courses));
        $from = $body->wordOrNull('from') === null ? null : SewingClass::query()->findOrFail($body->word('from'));
        $class = $plan($body->teacher()->studio_id, $body->word('name'), $course, $body->comers(), $body->checkedDates(), $body->whole('helpers'), $body->whole('machines'), $body->wishes(), $body->frame(), $from, $body->teacher()->id);

        return new JsonResponse(new NamedView($class->id, $class->name), 201);
    }

    #[OA\Post(
        path: '/api/plan/estimate',
        operationId: 'estimateCourse',
        requestBody: new Sent(EstimateBody::class),
        responses: [new Answer(EstimateView::class, description: 'how many sessions a course would take a class that is not there yet'), new Problem],
    )]
    public function estimate(EstimateBody $body, EstimateCourse $estimate, Shelf $shelf): JsonResponse
    {
        $course = $body->word('course', (string) array_key_first($shelf->bundle()->courses));
        $class = new SewingClass(['studio_id' => $body->teacher()->studio_id, 'course' => $course, 'helpers' => $body->whole('helpers')] + $body->frame());
        /** @var array{together?: list<list<string>>, home?: list<string>, order?: string} $wishes */
        $wishes = $body->wishes();

        return new JsonResponse($estimate($class, $body->whole('students'), $body->whole('machines'), $body->whole('minutes'), PlanWishes::of($wishes)));
    }
}
