<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Problem;
use App\Records\Shelf;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Looking for what is behind a fault. */
final readonly class HuntController
{
    public function __construct(private HuntFault $hunt) {}

    #[OA\Get(
        path: '/api/faults',
        operationId: 'faults',
        responses: [new OA\Response(response: 200, description: 'every fault with its look', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: FaultLookView::class))), new Problem],
    )]
    public function faults(Shelf $shelf): JsonResponse
    {
        return new JsonResponse(array_values(array_map(FaultLookView::of(...), $shelf->bundle()->faults)));
    }

    #[OA\Get(
        path: '/api/hunts',
        operationId: 'hunts',
        responses: [new OA\Response(response: 200, description: 'the last ones', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: HuntView::class))), new Problem],
    )]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->hunt->recent());
    }

    #[OA\Post(
        path: '/api/hunts',
        operationId: 'openHunt',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: HuntBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: HuntView::class)), new Problem],
    )]
    public function open(HuntBody $body): JsonResponse
    {
        return new JsonResponse($this->hunt->open($body->teacher()->studio_id, strtolower($body->word('id')), $body->words('seen'), $body->known(), $body->wordOrNull('machine'), $body->wordOrNull('student'), $body->wordOrNull('sample')), 201);
    }

    #[OA\Get(
        path: '/api/hunts/{hunt}',
        operationId: 'showHunt',
        parameters: [new OA\Parameter(name: 'hunt', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: HuntView::class)), new Problem],
    )]
    public function show(string $hunt): JsonResponse
    {
        return new JsonResponse($this->hunt->show($hunt));
    }

    #[OA\Post(
        path: '/api/hunts/{hunt}/trials',
        operationId: 'tryCause',
        parameters: [new OA\Parameter(name: 'hunt', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: TrialBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: HuntView::class)), new Problem],
    )]
    public function try(TrialBody $body, string $hunt): JsonResponse
    {
        return new JsonResponse($this->hunt->try($hunt, $body->whole('after'), $body->word('cause'), $body->word('result')));
    }
}
