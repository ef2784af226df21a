<?php

declare(strict_types=1);

namespace App\Places\Finder;

use App\Http\Answer;
use App\Http\Problem;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What can be found. */
final readonly class FindController
{
    #[OA\Get(
        path: '/api/find',
        operationId: 'find',
        responses: [new Answer(FoundView::class, list: true), new Problem],
    )]
    public function __invoke(FindAnything $find): JsonResponse
    {
        return new JsonResponse($find());
    }
}
