<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Records\Shelf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Scan\GreyImage;
use OpenSeam\Core\Scan\GreyPng;
use OpenSeam\Core\Scan\PictureReadings;
use OpenSeam\Core\Scan\ScanReader;
use OpenSeam\Core\Scan\SimulatedSample;

/** Flat scans of a sewn row. A picture is read and forgotten: nothing of it is kept. */
final readonly class ScanController
{
    /** Edge of a scan, pixels: 100 × 150 mm at 300 dpi and half as much again. */
    private const LARGEST = 2700;

    #[OA\Post(
        path: '/api/scans/read',
        operationId: 'readScan',
        parameters: [
            new InQuery('width', required: true, type: 'integer'),
            new InQuery('height', required: true, type: 'integer'),
            new InQuery('dpi', required: true, type: 'number'),
        ],
        requestBody: new OA\RequestBody(required: true, description: 'one byte a pixel, shades of grey, row by row', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        responses: [new Answer(ScanView::class, description: 'what it says, or that it cannot be told'), new Problem],
    )]
    public function read(Request $request): JsonResponse
    {
        $width = self::whole($request, 'width', 20, self::LARGEST);
        $height = self::whole($request, 'height', 20, self::LARGEST);
        $dpi = self::whole($request, 'dpi', 72, 1200);
        $pixels = $request->getContent();
        strlen($pixels) === $width * $height || throw InputError::at('(body)', strlen($pixels), sprintf('A picture of %d × %d has %d bytes, one a pixel.', $width, $height, $width * $height));

        return new JsonResponse(ScanView::of(ScanReader::read(new GreyImage($width, $height, $dpi, $pixels))));
    }

    #[OA\Post(
        path: '/api/scans/readings',
        operationId: 'pictureReadings',
        requestBody: new Sent(PictureReadingsBody::class),
        responses: [
            new OA\Response(response: 200, description: 'what the row asks for, as it is typed', content: new OA\JsonContent(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')))),
            new Problem,
        ],
    )]
    public function readings(PictureReadingsBody $body, Shelf $shelf): JsonResponse
    {
        $lesson = $shelf->bundle()->lesson($body->word('lesson'));
        $lesson = $body->validated('version') === null ? $lesson : $shelf->lessonAt($lesson->id, $body->whole('version')) ?? $lesson;
        $lesson = $body->way() === null ? $lesson : $lesson->in($body->way());
        $row = $lesson->sampler->rows[$body->word('row')] ?? throw InputError::at('row', $body->word('row'), 'The lesson has these rows: '.implode(', ', array_keys($lesson->sampler->rows)).'.');
        $typed = [];
        foreach (PictureReadings::of($row, $body->marks(), $body->amountOrNull('stitch_mm'), $body->amount('row_mm')) as $reading => $values) {
            $typed["{$row->id}.$reading"] = PictureReadings::typed($row->fields[$reading], $values, $body->teacher()->unit, $body->amountOrNull('stitch_u_mm'), $body->amountOrNull('edge_u_mm'));
        }

        return new JsonResponse($typed);
    }

    #[OA\Get(
        path: '/api/scans/simulated',
        operationId: 'simulatedScan',
        parameters: [
            new InQuery('seed', type: 'integer'),
            new InQuery('length_mm', type: 'number'),
            new InQuery('allowance_mm', type: 'number'),
            new InQuery('drift_mm', type: 'number'),
            new InQuery('wobble_mm', type: 'number'),
        ],
        responses: [new FileAnswer('image/png', 'a drawn scan at 300 dpi, as a stand-in for a scanner'), new Problem],
    )]
    public function simulated(Request $request): Response
    {
        $sample = new SimulatedSample(
            allowanceMm: self::amount($request, 'allowance_mm', 15.9, 3, 40), lengthMm: self::amount($request, 'length_mm', 2.5, 0.9, 6),
            driftMm: self::amount($request, 'drift_mm', 0.0, -5, 5), wobbleMm: self::amount($request, 'wobble_mm', 0.0, 0, 2), tiltDegrees: 0.6,
        );

        return new Response(GreyPng::of($sample->draw(self::whole($request, 'seed', 0, 1_000_000, 1))), 200, ['Content-Type' => 'image/png']);
    }

    private static function whole(Request $request, string $name, int $from, int $to, ?int $else = null): int
    {
        return (int) self::amount($request, $name, $else, $from, $to);
    }

    private static function amount(Request $request, string $name, float|int|null $else, float $from, float $to): float
    {
        $value = $request->query($name, $else === null ? null : (string) $else);

        return is_numeric($value) && (float) $value >= $from && (float) $value <= $to ? (float) $value : throw InputError::at($name, $value, "“{$name}” must be a number from $from to $to.");
    }
}
