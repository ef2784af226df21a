<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PrintPages;
use App\Actions\ShowStudent;
use App\Http\Resources\ErrorBody;
use App\Models\SewingClass;
use App\Printing\Format;
use App\Printing\ProgressCard;
use App\Printing\SamplerSvg;
use App\Printing\Sheet;
use App\Support\LongJob;
use App\Support\Shelf;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;

/** Sheets at true size, for A4 and Letter. */
final readonly class PrintController
{
    public function __construct(private PrintPages $print, private Shelf $shelf) {}

    #[OA\Get(
        path: '/api/lessons/{lesson}/print',
        operationId: 'printLesson',
        parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'class', in: 'query', required: false, description: 'in the way this class is taught', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'what', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: ['sampler', 'card', 'teacher', 'drills'])), new OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['A4', 'Letter']))],
        responses: [new OA\Response(response: 200, description: 'a PDF at true size', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function lesson(Request $request, string $lesson): Response
    {
        $what = $request->string('what')->toString();

        return self::pdf($this->print->lesson(LessonController::bundle($request, $this->shelf)->lesson($lesson), $what, self::format($request)), "$lesson-$what");
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/svg',
        operationId: 'svgLesson',
        parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'class', in: 'query', required: false, description: 'in the way this class is taught', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'the sampler at true size', content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string'))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function svg(Request $request, string $lesson): Response
    {
        $found = LessonController::bundle($request, $this->shelf)->lesson($lesson);
        $found->pieces !== [] || throw InputError::at('lesson', $lesson, "{$found->title} has no sampler to draw.");

        return new Response(SamplerSvg::of($found), 200, ['Content-Type' => 'image/svg+xml', 'Content-Disposition' => "attachment; filename=\"$lesson.svg\""]);
    }

    #[OA\Get(
        path: '/api/print/paper-drive',
        operationId: 'printPaperDrive',
        parameters: [new OA\Parameter(name: 'hand', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['right', 'left'])), new OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['A4', 'Letter']))],
        responses: [new OA\Response(response: 200, description: 'a PDF at true size', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function paperDrive(Request $request): Response
    {
        $hand = $request->string('hand', 'right')->toString();
        in_array($hand, ['right', 'left'], true) || throw InputError::at('hand', $hand, 'It must be one of: right, left.');

        return self::pdf($this->print->paperDrive(self::format($request), $hand === 'left'), "paper-drive-$hand");
    }

    #[OA\Get(
        path: '/api/classes/{class}/print',
        operationId: 'printClass',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'what', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: ['seats', 'bench', 'materials', 'handout', 'pack'])), new OA\Parameter(name: 'job', in: 'query', required: false, description: 'a ULID of the caller, to ask how far it is', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['A4', 'Letter']))],
        responses: [new OA\Response(response: 200, description: 'a PDF at true size', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function class(Request $request, string $class): Response
    {
        $what = $request->string('what')->toString();

        return self::pdf($this->print->class(SewingClass::query()->findOrFail($class), $what, self::format($request), LongJob::named($request, $request->query('job'))), $what);
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/print',
        operationId: 'printStudent',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['A4', 'Letter']))],
        responses: [new OA\Response(response: 200, description: 'a progress card', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function student(Request $request, string $class, string $student, ShowStudent $show): Response
    {
        $found = SewingClass::query()->findOrFail($class);
        $sheet = new Sheet(self::format($request), $found->name);
        ProgressCard::add($sheet, $found->name, $show($found, $student, Unit::Millimetre));

        return self::pdf($sheet->bytes(), 'progress');
    }

    private static function format(Request $request): Format
    {
        $format = $request->string('format', Format::A4->value)->toString();

        return Format::tryFrom($format) ?? throw InputError::at('format', $format, 'It must be one of: A4, Letter.');
    }

    private static function pdf(string $bytes, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"$name.pdf\""]);
    }
}
