<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\FaultHunt;
use App\Records\Shelf;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Words;

/** Looking for what is behind a fault. */
final readonly class HuntController
{
    public function __construct(private HuntFault $hunt) {}

    #[OA\Get(
        path: '/api/faults',
        operationId: 'faults',
        responses: [new Answer(FaultLookView::class, list: true, description: 'every fault with its look'), new Problem],
    )]
    public function faults(Request $request, Shelf $shelf): JsonResponse
    {
        $words = Words::in(Who::asks($request)->unit);

        return new JsonResponse(array_values(array_map(fn (Fault $f): FaultLookView => FaultLookView::of($f, $words), $shelf->bundle()->faults)));
    }

    #[OA\Get(
        path: '/api/hunts',
        operationId: 'hunts',
        responses: [new Answer(HuntView::class, list: true, description: 'the last ones'), new Problem],
    )]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->hunt->recent());
    }

    #[OA\Post(
        path: '/api/hunts',
        operationId: 'openHunt',
        requestBody: new Sent(HuntBody::class),
        responses: [new Answer(HuntView::class, status: 201), new Problem],
    )]
    public function open(HuntBody $body): JsonResponse
    {
        return new JsonResponse($this->hunt->open($body->teacher()->studio_id, strtolower($body->word('id')), $body->words('seen'), $body->known(), $body->wordOrNull('machine'), $body->wordOrNull('student'), $body->wordOrNull('sample')), 201);
    }

    #[OA\Get(
        path: '/api/hunts/{hunt}',
        operationId: 'showHunt',
        parameters: [new InPath('hunt')],
        responses: [new Answer(HuntView::class), new Problem],
    )]
    public function show(FaultHunt $hunt): JsonResponse
    {
        return new JsonResponse($this->hunt->show($hunt));
    }

    #[OA\Post(
        path: '/api/hunts/{hunt}/trials',
        operationId: 'tryCause',
        parameters: [new InPath('hunt')],
        requestBody: new Sent(TrialBody::class),
        responses: [new Answer(HuntView::class), new Problem],
    )]
    public function try(TrialBody $body, FaultHunt $hunt): JsonResponse
    {
        return new JsonResponse($this->hunt->try($hunt->id, $body->whole('after'), $body->word('cause'), $body->word('result')));
    }
}
