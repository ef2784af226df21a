<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\LongJob;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** How far something long is: a print, a plan. */
final readonly class JobController
{
    #[OA\Get(
        path: '/api/jobs/{job}',
        operationId: 'jobProgress',
        parameters: [new InPath('job')],
        responses: [
            new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(properties: [new OA\Property(property: 'done', type: 'integer'), new OA\Property(property: 'of', type: 'integer'), new OA\Property(property: 'found', type: 'integer', nullable: true, description: 'the best that is known so far')], required: ['done', 'of', 'found'], type: 'object')),
            new Problem,
        ],
    )]
    public function progress(Request $request, string $job): JsonResponse
    {
        return new JsonResponse(LongJob::named($request, $job)->at());
    }

    #[OA\Delete(
        path: '/api/jobs/{job}',
        operationId: 'stopJob',
        parameters: [new InPath('job')],
        responses: [new Answer, new Problem],
    )]
    public function stop(Request $request, string $job): JsonResponse
    {
        LongJob::named($request, $job)->stop();

        return new JsonResponse(null, 204);
    }
}
