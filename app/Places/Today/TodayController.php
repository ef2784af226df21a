<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Models\SewingClass;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The session in hand. */
final readonly class TodayController
{
    #[OA\Get(
        path: '/api/classes/{class}/today',
        operationId: 'today',
        parameters: [new InPath('class')],
        responses: [new Answer(TodayView::class), new Problem],
    )]
    public function today(Request $request, SewingClass $class, ShowToday $show): JsonResponse
    {
        return new JsonResponse($show($class, Who::asks($request)->unit));
    }

    #[OA\Get(
        path: '/api/classes/{class}/pulse',
        operationId: 'pulse',
        parameters: [new InPath('class')],
        responses: [new Answer(PulseView::class, description: 'changes with everything that was kept or said of the class'), new Problem],
    )]
    public function pulse(SewingClass $class): JsonResponse
    {
        return new JsonResponse(new PulseView(ClassPulse::of($class)));
    }
}
