<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Places\Materials\PrintPages;
use App\Printing\Format;
use App\Printing\Pdf;
use App\Printing\SamplerSvg;
use App\Records\Shelf;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\WallCharts;
use OpenSeam\Core\InputError;

/** A lesson’s sheets at true size. */
final readonly class LessonPrintController
{
    public function __construct(private PrintPages $print, private Shelf $shelf) {}

    #[OA\Get(
        path: '/api/lessons/{lesson}/print',
        operationId: 'printLesson',
        parameters: [
            new InPath('lesson'),
            new InQuery('class', description: 'in the way this class is taught'),
            new InQuery('what', required: true, among: ['sampler', 'card', 'teacher', 'drills']),
            new InQuery('format', among: ['A4', 'Letter']),
            new InQuery('hand', among: ['right', 'left'], description: 'of who reads the card'),
        ],
        responses: [new FileAnswer(FileAnswer::PDF, 'a PDF at true size'), new Problem],
    )]
    public function lesson(Request $request, string $lesson): Response
    {
        $what = $request->string('what')->toString();

        return Pdf::of($this->print->lesson($this->shelf->asTaught($request->string('class')->toString())->lesson($lesson), $what, Format::asked($request->query('format')), self::leftHanded($request)), "$lesson-$what");
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/svg',
        operationId: 'svgLesson',
        parameters: [new InPath('lesson'), new InQuery('class', description: 'in the way this class is taught')],
        responses: [
            new OA\Response(response: 200, description: 'the sampler at true size', content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string'))),
            new Problem,
        ],
    )]
    public function svg(Request $request, string $lesson): Response
    {
        $found = $this->shelf->asTaught($request->string('class')->toString())->lesson($lesson);
        $found->sampler->pieces !== [] || throw InputError::at('lesson', $lesson, "{$found->title} has no sampler to draw.");

        return new Response(SamplerSvg::of($found), 200, ['Content-Type' => 'image/svg+xml', 'Content-Disposition' => "attachment; filename=\"$lesson.svg\""]);
    }

    #[OA\Get(
        path: '/api/print/paper-drive',
        operationId: 'printPaperDrive',
        parameters: [new InQuery('hand', among: ['right', 'left']), new InQuery('format', among: ['A4', 'Letter'])],
        responses: [new FileAnswer(FileAnswer::PDF, 'a PDF at true size'), new Problem],
    )]
    public function paperDrive(Request $request): Response
    {
        $left = self::leftHanded($request);

        return Pdf::of($this->print->paperDrive(Format::asked($request->query('format')), $left), 'paper-drive-'.($left ? 'left' : 'right'));
    }

    #[OA\Get(
        path: '/api/print/photo-card',
        operationId: 'printPhotoCard',
        parameters: [new InQuery('size', among: ['one', 'two'], description: 'sheets: two are joined, for large pieces'), new InQuery('hand', among: ['right', 'left']), new InQuery('format', among: ['A4', 'Letter'])],
        responses: [new FileAnswer(FileAnswer::PDF, 'the card that samples are photographed on, at true size'), new Problem],
    )]
    public function photoCard(Request $request): Response
    {
        $size = $request->string('size', 'one')->toString();
        in_array($size, ['one', 'two'], true) || throw InputError::at('size', $size, 'It must be one of: one, two.');

        return Pdf::of($this->print->photoCard(Format::asked($request->query('format')), $size === 'two', self::leftHanded($request)), 'photo-card');
    }

    #[OA\Get(
        path: '/api/print/chart',
        operationId: 'printChart',
        parameters: [
            new InQuery('chart', required: true, among: WallCharts::ALL),
            new InQuery('sheets', among: ['whole', 'tiles'], description: 'one sheet of twice the size, or two that are put together'),
            new InQuery('format', among: ['A4', 'Letter']),
        ],
        responses: [new FileAnswer(FileAnswer::PDF, 'a chart for the wall'), new Problem],
    )]
    public function chart(Request $request): Response
    {
        $sheets = $request->string('sheets', 'whole')->toString();
        in_array($sheets, ['whole', 'tiles'], true) || throw InputError::at('sheets', $sheets, 'It must be one of: whole, tiles.');
        $chart = $request->string('chart')->toString();

        return Pdf::of($this->print->chart($chart, Format::asked($request->query('format')), $sheets === 'tiles'), "chart-$chart");
    }

    /** @throws InputError for neither hand */
    private static function leftHanded(Request $request): bool
    {
        $hand = $request->string('hand', 'right')->toString();
        in_array($hand, ['right', 'left'], true) || throw InputError::at('hand', $hand, 'It must be one of: right, left.');

        return $hand === 'left';
    }
}
