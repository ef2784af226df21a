<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Answer;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\BundleJson;

/** The shelf as a whole: its editions, and bundles that come and go. */
final readonly class ShelfController
{
    #[OA\Get(
        path: '/api/shelf',
        operationId: 'shelf',
        responses: [new Answer(ShelfView::class), new Problem],
    )]
    public function show(ShowShelf $show): JsonResponse
    {
        return new JsonResponse($show());
    }

    #[OA\Get(
        path: '/api/shelf/export',
        operationId: 'exportBundle',
        parameters: [new InQuery('lesson'), new InQuery('course')],
        responses: [
            new OA\Response(response: 200, description: 'as asked', content: new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(description: 'a bundle as described by course-bundle.schema.json', type: 'object'))),
            new Problem,
        ],
    )]
    public function export(Request $request, ExportBundle $export): Response
    {
        $asked = fn (string $name): ?string => is_string($request->query($name)) && $request->query($name) !== '' ? $request->query($name) : null;
        $json = $export($asked('lesson'), $asked('course'));
        $name = is_string($json['id'] ?? null) ? $json['id'] : 'shelf';

        return new Response(BundleJson::encode($json, JSON_PRETTY_PRINT)."\n", 200, ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"$name.bundle.json\""]);
    }

    #[OA\Post(
        path: '/api/shelf/compare',
        operationId: 'compareBundle',
        requestBody: new Sent(BundleBody::class),
        responses: [new Answer(BundleChangesView::class), new Problem],
    )]
    public function compare(BundleBody $body, BringBundle $bring): JsonResponse
    {
        return new JsonResponse($bring->compare($body->bundle(), $body->bundleAsObject()));
    }

    #[OA\Post(
        path: '/api/shelf/import',
        operationId: 'importBundle',
        requestBody: new Sent(BundleBody::class),
        responses: [new Answer(BundleChangesView::class), new Problem],
    )]
    public function import(BundleBody $body, BringBundle $bring): JsonResponse
    {
        return new JsonResponse($bring->import($body->teacher(), $body->bundle(), $body->bundleAsObject(), $body->whole('edition')));
    }

    #[OA\Post(
        path: '/api/shelf/back',
        operationId: 'shelfBack',
        requestBody: new Sent(BackBody::class),
        responses: [new Answer(ShelfView::class), new Problem],
    )]
    public function back(BackBody $body, ShelfEditions $book, ShowShelf $show): JsonResponse
    {
        $book->backTo($body->teacher(), $body->whole('number'), $body->whole('edition'));

        return new JsonResponse($show());
    }
}
