<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Foot;
use App\Models\SewingClass;
use App\Support\Clock;
use App\Views\FootView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The room as a whole, and its feet. */
final readonly class RoomController
{
    #[OA\Get(
        path: '/api/room',
        operationId: 'room',
        parameters: [new InQuery('class')],
        responses: [new Answer(RoomView::class), new Problem],
    )]
    public function show(Request $request, ShowRoom $show): JsonResponse
    {
        $class = $request->query('class');

        return new JsonResponse($show(is_string($class) && $class !== '' ? SewingClass::query()->findOrFail($class) : null));
    }

    #[OA\Get(
        path: '/api/room/table',
        operationId: 'roomTable',
        parameters: [new InQuery('of', required: true, among: RoomTables::KINDS)],
        responses: [new FileAnswer('text/csv', 'a table (RFC 4180)'), new Problem],
    )]
    public function table(Request $request, RoomTables $tables): Response
    {
        $of = $request->string('of')->toString();

        return new Response($tables($of), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$of.csv\""]);
    }

    #[OA\Post(
        path: '/api/feet',
        operationId: 'newFoot',
        requestBody: new Sent(FootBody::class),
        responses: [new Answer(FootView::class, status: 201), new Problem],
    )]
    public function store(FootBody $body): JsonResponse
    {
        return new JsonResponse(FootView::of(Foot::add($body->teacher()->studio_id, $body->facts())), 201);
    }

    #[OA\Put(
        path: '/api/feet/{foot}',
        operationId: 'updateFoot',
        parameters: [new InPath('foot')],
        requestBody: new Sent(FootBody::class),
        responses: [new Answer(FootView::class), new Problem],
    )]
    public function update(FootBody $body, Foot $foot): JsonResponse
    {
        $facts = $body->facts();
        $foot->fill(['name' => $facts['name'], 'kind' => $facts['kind'], 'count' => $facts['count'], 'facts' => $facts])->save();

        return new JsonResponse(FootView::of($foot));
    }

    #[OA\Delete(
        path: '/api/feet/{foot}',
        operationId: 'retireFoot',
        parameters: [new InPath('foot')],
        responses: [new Answer, new Problem],
    )]
    public function retire(Foot $foot): JsonResponse
    {
        $foot->update(['retired_at' => Clock::now()]);

        return new JsonResponse(null, 204);
    }
}
