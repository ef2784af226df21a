<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Studio;
use App\Records\Shelf;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\ValueRefused;

/** A sewn sampler in a photograph or a scan. The picture is read and forgotten: nothing of it is kept. */
final readonly class SamplerScanController
{
    private const INCH_MM = 25.4;

    private const LONGEST_WAY = 8_000;

    public function __construct(private Shelf $shelf) {}

    #[OA\Post(
        path: '/api/scans/sampler',
        operationId: 'readSampler',
        parameters: [
            new InQuery('lesson', required: true), new InQuery('version', type: 'integer', description: 'of the lesson that was sewn; the one on the shelf where it is not given'),
            new InQuery('way', description: 'it was sewn in, as JSON; the usual one where it is not given'),
            new InQuery('piece', description: 'of the sampler, where it has several; the first one that a picture tells something of'),
            new InQuery('dpi', type: 'number', description: 'of a flat scan; a photograph on the card where it is not given'),
        ],
        requestBody: new OA\RequestBody(required: true, description: 'JPEG or PNG', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        responses: [new Answer(ScannedSamplerView::class, description: 'what it says, or why it cannot be told'), new Problem],
    )]
    public function read(Request $request): JsonResponse
    {
        $teacher = Who::asks($request);
        $sampler = $this->lesson($request)->sampler;
        $pieces = SamplerScan::pieces($sampler);
        $piece = $request->string('piece', $pieces[0] ?? '')->toString();
        in_array($piece, $pieces, true) || throw InputError::at('piece', $piece, $pieces === [] ? 'A picture tells nothing of this lesson: it is read by ruler and eye.' : 'It must be one of: '.implode(', ', $pieces).'.');
        $dpi = $request->query('dpi');
        $dpi === null || (is_numeric($dpi) && $dpi >= 72 && $dpi <= 1200) || throw InputError::at('dpi', $dpi, 'Pixels an inch must be a number from 72 to 1200.');
        try {
            $raster = Raster::read($request->getContent());
        } catch (ValueRefused $e) {
            throw InputError::at('(body)', null, $e->getMessage());
        }
        $picture = is_numeric($dpi) ? new Sampled($raster, self::INCH_MM / (float) $dpi) : CardView::of($raster, $teacher->studio->card_line_mm);

        return new JsonResponse(ScannedSamplerView::of(SamplerScan::read($picture, $sampler, $piece), $picture, $sampler, $teacher->unit));
    }

    #[OA\Get(path: '/api/photo-card', operationId: 'photoCard', responses: [new Answer(PhotoCardView::class), new Problem])]
    public function card(Request $request): JsonResponse
    {
        return new JsonResponse(new PhotoCardView(Who::asks($request)->studio->card_line_mm));
    }

    #[OA\Put(path: '/api/photo-card', operationId: 'checkPhotoCard', requestBody: new Sent(PhotoCardBody::class), responses: [new Answer(PhotoCardView::class, description: 'as it is kept'), new Problem])]
    public function check(PhotoCardBody $body): JsonResponse
    {
        $line = $body->validated('line_mm') === null ? null : round($body->amount('line_mm'), 2);
        Studio::query()->whereKey($body->teacher()->studio_id)->update(['card_line_mm' => $line]);

        return new JsonResponse(new PhotoCardView($line));
    }

    /** @throws InputError for a lesson or a way that is not known */
    private function lesson(Request $request): Lesson
    {
        $lesson = $this->shelf->bundle()->lesson($request->string('lesson')->toString());
        $version = $request->query('version');
        $version === null || (is_numeric($version) && (int) $version >= 1) || throw InputError::at('version', $version, 'A version is a whole number from 1.');
        $lesson = is_numeric($version) ? $this->shelf->lessonAt($lesson->id, (int) $version) ?? $lesson : $lesson;
        $way = $request->query('way');
        if ($way === null) {
            return $lesson;
        }
        $said = is_string($way) && strlen($way) <= self::LONGEST_WAY ? json_decode($way, true, 8) : null;
        is_array($said) || throw InputError::at('way', null, 'A way is a JSON object with the schools and stitches it is sewn by.');

        return $lesson->in(Way::read(Data::of(['way' => $said])->part('way')));
    }
}
