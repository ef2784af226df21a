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
        path: '/api/classes/{class}/sessions/{session}/samples',
        operationId: 'sessionSamples',
        parameters: [new InPath('class'), new InPath('session')],
        responses: [new Answer(CaughtUpView::class, list: true), new Problem],
    )]
    public function samples(Request $request, SewingClass $class, string $session, ShowToday $show): JsonResponse
    {
        return new JsonResponse($show->of($class, $session, Who::asks($request)->unit));
    }

    #[OA\Put(
        path: '/api/classes/{class}/sessions/{session}/end',
        operationId: 'endSession',
        parameters: [new InPath('class'), new InPath('session')],
        responses: [new Answer(TodayView::class, description: 'the session is over'), new Problem],
    )]
    public function end(Request $request, SewingClass $class, string $session, HoldSession $hold, ShowToday $show): JsonResponse
    {
        $hold->end($class, $session);

        return $this->today($request, $class, $show);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/sessions/{session}/end',
        operationId: 'goOnWithSession',
        parameters: [new InPath('class'), new InPath('session')],
        responses: [new Answer(TodayView::class, description: 'it goes on to its hour'), new Problem],
    )]
    public function goOn(Request $request, SewingClass $class, string $session, HoldSession $hold, ShowToday $show): JsonResponse
    {
        $hold->goOn($class, $session);

        return $this->today($request, $class, $show);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/sessions/{session}/begin',
        operationId: 'notBegun',
        parameters: [new InPath('class'), new InPath('session')],
        responses: [new Answer(TodayView::class, description: 'it begins at its hour'), new Problem],
    )]
    public function notBegun(Request $request, SewingClass $class, string $session, HoldSession $hold, ShowToday $show): JsonResponse
    {
        $hold->notBegun($class, $session);

        return $this->today($request, $class, $show);
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
