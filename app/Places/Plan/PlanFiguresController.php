<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Models\SewingClass;
use App\Models\User;
use App\Records\ForecastClass;
use App\Support\Who;
use App\Views\ForecastView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Measure\Unit;

/** What a plan takes and leads to: what each day needs, what it costs in sessions, who will finish. */
final readonly class PlanFiguresController
{
    #[OA\Get(
        path: '/api/classes/{class}/plan/needs',
        operationId: 'planNeeds',
        parameters: [new InPath('class')],
        responses: [new Answer(PlanNeedsView::class, list: true, description: 'what must stand ready on each day'), new Problem],
    )]
    public function needs(Request $request, SewingClass $class, ShowPlanNeeds $needs): JsonResponse
    {
        return new JsonResponse($needs($class, Who::asks($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/plan/costs',
        operationId: 'planCosts',
        parameters: [new InPath('class')],
        responses: [new Answer(PlanCostView::class, list: true, description: 'one sample of each lesson, and with time to sew again'), new Problem],
    )]
    public function costs(SewingClass $class, CostPlan $cost): JsonResponse
    {
        return new JsonResponse($cost($class));
    }

    #[OA\Get(
        path: '/api/classes/{class}/forecast',
        operationId: 'forecast',
        parameters: [new InPath('class')],
        responses: [new Answer(ForecastView::class), new Problem],
    )]
    public function forecast(Request $request, SewingClass $class, ForecastClass $forecast): JsonResponse
    {
        $user = $request->user();

        return new JsonResponse($forecast($class, $user instanceof User ? $user->unit : Unit::Millimetre));
    }
}
