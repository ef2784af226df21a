<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InQuery;
use App\Http\Problem;
use App\Support\Who;
use App\Views\ScannedSamplerView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** A sewn sampler in a photograph or a scan. The picture is read and forgotten: nothing of it is kept. */
final readonly class SamplerScanController
{
    public function __construct(private AskedLesson $asked) {}

    #[OA\Post(
        path: '/api/scans/sampler',
        operationId: 'readSampler',
        parameters: [
            new InQuery('lesson', required: true), new InQuery('version', type: 'integer', description: 'of the lesson that was sewn; the one on the shelf where it is not given'),
            new InQuery('way', description: 'it was sewn in, as JSON; the usual one where it is not given'),
            new InQuery('piece', description: 'of the sampler, where it has several; the first one that a picture tells something of'),
            new InQuery('bare', among: ['yes'], description: 'as sure as the picture itself says, to be compared with a ruler'),
            new InQuery('dpi', type: 'number', description: 'of a flat scan; a photograph on the card where it is not given'),
        ],
        requestBody: new OA\RequestBody(required: true, description: 'JPEG or PNG', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        responses: [new Answer(ScannedSamplerView::class, description: 'what it says, or why it cannot be told'), new Problem],
    )]
    public function read(Request $request, ReadSampler $read): JsonResponse
    {
        $teacher = Who::asks($request);

        return new JsonResponse($read($request, $this->asked->of($request), $teacher->studio, $teacher->unit));
    }
}
