<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\BenchPlan;
use App\Models\SewingClass;
use App\Models\User;
use App\Views\BenchView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The next session's bench: who sits where with what. */
final readonly class BenchController
{
    public function __construct(private ShowBench $show) {}

    #[OA\Get(
        path: '/api/classes/{class}/bench',
        operationId: 'bench',
        parameters: [new InPath('class')],
        responses: [new Answer(BenchView::class, description: 'as it would be seated now'), new Problem],
    )]
    public function show(Request $request, SewingClass $class, SeatSession $seat): JsonResponse
    {
        /** @var User $user the route is behind sign-in */
        $user = $request->user();

        return new JsonResponse(($this->show)($seat($class, $user->unit)));
    }

    #[OA\Put(
        path: '/api/classes/{class}/bench',
        operationId: 'keepBench',
        parameters: [new InPath('class')],
        requestBody: new Sent(BenchBody::class),
        responses: [new Answer(BenchView::class, description: 'with what the teacher says'), new Problem],
    )]
    public function keep(BenchBody $body, SewingClass $class, SeatSession $seat, KeepBench $keep): JsonResponse
    {
        [$most, $held, $away] = [$body->whole('most_lessons'), $body->held(), $body->away()];

        return new JsonResponse(($this->show)($body->boolean('try')
            ? $seat($class, $body->teacher()->unit, fn (BenchPlan $b) => $b->fill(['most_lessons' => $most, 'held' => $held, 'away' => $away]))
            : $keep($class, $body->teacher()->unit, $body->whole('version'), $most, $held, $away)));
    }

    #[OA\Put(
        path: '/api/classes/{class}/bench/state',
        operationId: 'noteState',
        parameters: [new InPath('class')],
        requestBody: new Sent(StateBody::class),
        responses: [new Answer(BenchView::class, description: 'seated anew'), new Problem],
    )]
    public function state(StateBody $body, SewingClass $class, KeepBench $keep): JsonResponse
    {
        return new JsonResponse(($this->show)($keep->note($class, $body->teacher()->unit, $body->word('student'), $body->word('state'))));
    }

    #[OA\Post(
        path: '/api/classes/{class}/bench/start',
        operationId: 'startBench',
        parameters: [new InPath('class')],
        requestBody: new Sent(VersionBody::class),
        responses: [new Answer(BenchView::class, description: 'begun: machines and lessons are handed out'), new Problem],
    )]
    public function start(VersionBody $body, SewingClass $class, KeepBench $keep): JsonResponse
    {
        return new JsonResponse(($this->show)($keep->start($class, $body->teacher()->unit, $body->whole('version'))));
    }
}
