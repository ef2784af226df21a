<?php

declare(strict_types=1);

namespace App\Places\Finder;

use App\Http\Answer;
use App\Http\InQuery;
use App\Http\Problem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Finds students and lessons by what is typed. */
final readonly class FindController
{
    #[OA\Get(
        path: '/api/find',
        operationId: 'find',
        parameters: [new InQuery('q')],
        responses: [new Answer(FoundView::class, list: true), new Problem],
    )]
    public function __invoke(Request $request, FindAnything $find): JsonResponse
    {
        $words = $request->query('q');

        return new JsonResponse($find(is_string($words) ? mb_substr(trim($words), 0, 60) : ''));
    }
}
