<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Answer;
use App\Http\Problem;
use App\Http\Sent;
use App\Records\RoomInventory;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Advice\FootNamer;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\BlindHem;
use OpenSeam\Core\Machine\FootKind;
use OpenSeam\Core\Words;

/** Tools that are used by looking: what kind a foot is, and how deep a blind hem bites. */
final readonly class EyesController
{
    #[OA\Get(
        path: '/api/feet/seen',
        operationId: 'footParts',
        responses: [new Answer(FootPartView::class, list: true, description: 'what can be seen on a foot'), new Problem],
    )]
    public function parts(): JsonResponse
    {
        $all = FootNamer::all();

        return new JsonResponse(array_map(fn (string $seen, FootKind $on): FootPartView => FootPartView::of($seen, $on), array_keys($all), $all));
    }

    #[OA\Post(
        path: '/api/feet/name',
        operationId: 'nameFoot',
        requestBody: new Sent(FootSeenBody::class),
        responses: [new Answer(FootGuessView::class, list: true, description: 'kinds it may be, the likeliest first'), new Problem],
    )]
    public function name(FootSeenBody $body): JsonResponse
    {
        $room = RoomInventory::read()->room;
        $guesses = FootNamer::guess($body->words('seen'));

        return new JsonResponse(array_map(fn (string $kind, float $p): FootGuessView => FootGuessView::of($kind, $p, $room), array_keys($guesses), $guesses));
    }

    #[OA\Post(
        path: '/api/blind-hem',
        operationId: 'setBlindHem',
        requestBody: new Sent(BlindHemBody::class),
        responses: [new Answer(BlindHemView::class, description: 'how deep it bites, and the one move'), new Problem],
    )]
    public function blindHem(BlindHemBody $body): JsonResponse
    {
        $set = BlindHem::read(Data::of(['width_mm' => $body->amount('width_mm'), 'position_mm' => $body->amount('position_mm'), 'blade_mm' => $body->amount('blade_mm'), 'mirrored' => $body->boolean('mirrored')]));
        $steps = ['width' => $body->amount('width_step_mm'), 'position' => $body->amount('position_step_mm'), 'blade' => $body->amount('blade_step_mm')];

        return new JsonResponse(BlindHemView::of($set, $steps, $body->boolean('stretch'), $body->filled('pick_mm') ? $body->amount('pick_mm') : BlindHem::SEEN[$body->word('seen')] ?? null, Words::in($body->teacher()->unit)));
    }
}
