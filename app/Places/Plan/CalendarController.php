<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\Problem;
use App\Models\SewingClass;
use App\Support\CurrentStudio;
use App\Support\Link;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** A private address that a calendar reads again and again: it follows the plan. No student is in it. */
final readonly class CalendarController
{
    #[OA\Post(
        path: '/api/classes/{class}/calendar',
        operationId: 'openCalendar',
        parameters: [new InPath('class')],
        responses: [new Answer(CalendarView::class, status: 201, description: 'its address, told this once; one told before ends'), new Problem],
    )]
    public function open(SewingClass $class): JsonResponse
    {
        $link = Link::new();
        $class->update(['calendar_hash' => $link->hash]);

        return new JsonResponse(new CalendarView($link->token), 201);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/calendar',
        operationId: 'closeCalendar',
        parameters: [new InPath('class')],
        responses: [new Answer(description: 'the address leads nowhere now'), new Problem],
    )]
    public function close(SewingClass $class): JsonResponse
    {
        $class->update(['calendar_hash' => null]);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/calendar/{token}',
        operationId: 'calendar',
        parameters: [new InPath('token')],
        responses: [new FileAnswer('text/calendar', 'the sessions of a class as they are planned now'), new Problem],
    )]
    public function show(string $token, ExportPlan $export, CurrentStudio $studio): Response
    {
        // Whoever has the address is nobody's teacher: the studio comes from it alone.
        $hash = Link::read($token);
        $class = $hash === null ? null : $studio->everywhere(fn (): ?SewingClass => SewingClass::query()->where('calendar_hash', $hash)->first());
        $class !== null || throw (new ModelNotFoundException)->setModel(SewingClass::class);

        return $studio->within($class->studio_id, fn (): Response => new Response($export->calendar($class), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'X-Robots-Tag' => 'noindex, nofollow']));
    }
}
