<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Samples that come in from a table. */
final readonly class ImportController
{
    #[OA\Post(
        path: '/api/classes/{class}/samples',
        operationId: 'importSamples',
        parameters: [new InPath('class')],
        requestBody: new Sent(ImportBody::class),
        responses: [new Answer(ImportView::class), new Problem],
    )]
    public function import(ImportBody $body, SewingClass $class, ImportSamples $import): JsonResponse
    {
        return new JsonResponse($import($body->teacher(), $class, $body->word('table'), $body->boolean('try')));
    }
}
