<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\BundleSchema;
use App\Views\PictureView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\PictureTemplates;
use OpenSeam\Core\Curriculum\BundleJson;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Curriculum\CheckStarter;
use OpenSeam\Core\Curriculum\LessonDraft;
use OpenSeam\Core\Curriculum\PathStarter;
use OpenSeam\Core\Curriculum\RowStarter;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Words;

/** The drafting table: a lesson taken from the shelf, changed and put back. */
final readonly class DraftController
{
    public function __construct(private Shelf $shelf) {}

    #[OA\Get(
        path: '/api/lessons/{lesson}/text',
        operationId: 'lessonText',
        parameters: [new InPath('lesson'), new InQuery('version', type: 'integer')],
        responses: [new Answer(LessonTextView::class), new Problem],
    )]
    public function text(Request $request, string $lesson, ShowShelf $show): JsonResponse
    {
        $version = $request->query('version');
        $view = $show->lesson($lesson, is_string($version) && ctype_digit($version) ? (int) $version : null);

        return JsonResponse::fromJsonString(BundleJson::encode((array) $view));
    }

    #[OA\Post(
        path: '/api/drafts/read',
        operationId: 'readDraft',
        requestBody: new Sent(DraftBody::class),
        responses: [new Answer(DraftView::class), new Problem],
    )]
    public function read(DraftBody $body): JsonResponse
    {
        $shape = null;
        try {
            BundleSchema::checkLesson($body->lessonAsObject());
        } catch (InputError $e) {
            $shape = $e;
        }

        return new JsonResponse(DraftView::of(LessonDraft::read($body->lesson(), $this->shelf->ground(), RoomInventory::read()->room, $shape, $this->shelf->unit()), Words::in($this->shelf->unit())));
    }

    #[OA\Post(
        path: '/api/drafts/row',
        operationId: 'startRow',
        requestBody: new Sent(NewRowBody::class),
        responses: [
            new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(properties: [new OA\Property(property: 'row', ref: '#/components/schemas/BundleRow')], required: ['row'], type: 'object')),
            new Problem,
        ],
    )]
    public function row(NewRowBody $body): JsonResponse
    {
        return new JsonResponse(['row' => RowStarter::row($body->lesson(), $body->word('piece'), $body->word('stitch'))]);
    }

    #[OA\Post(
        path: '/api/drafts/templates',
        operationId: 'pictureTemplates',
        requestBody: new Sent(TemplatesBody::class),
        responses: [new Answer(TemplateView::class, list: true, description: 'pictures of one group'), new Problem],
    )]
    public function templates(TemplatesBody $body): JsonResponse
    {
        $lesson = BundleReader::lesson(Data::of($body->lesson()));
        $words = Words::in($this->shelf->unit());
        $shown = new Shown($lesson->sampler, $lesson->folds);
        $book = new PictureBook;

        return new JsonResponse(array_map(fn (array $keeps): TemplateView => new TemplateView($keeps, PictureView::of($book->draw(Data::of($keeps), $shown), $words)), PictureTemplates::of($body->word('group'), $lesson)));
    }

    #[OA\Post(
        path: '/api/drafts/check',
        operationId: 'startCheck',
        requestBody: new Sent(NewCheckBody::class),
        responses: [
            new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(properties: [new OA\Property(property: 'reading', ref: '#/components/schemas/BundleReading'), new OA\Property(property: 'check', ref: '#/components/schemas/BundleCheck')], required: ['reading', 'check'], type: 'object')),
            new Problem,
        ],
    )]
    public function check(NewCheckBody $body): JsonResponse
    {
        return new JsonResponse(CheckStarter::of($body->row(), $body->word('label'), $body->word('kind'), $body->words('teaches')));
    }

    #[OA\Post(
        path: '/api/drafts/path',
        operationId: 'startPath',
        requestBody: new Sent(NewPathBody::class),
        responses: [
            new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(properties: [new OA\Property(property: 'path', ref: '#/components/schemas/BundlePath')], required: ['path'], type: 'object')),
            new Problem,
        ],
    )]
    public function path(NewPathBody $body): JsonResponse
    {
        return new JsonResponse(['path' => PathStarter::of($body->word('run'), $body->amount('width_mm'), $body->amount('height_mm'))]);
    }

    #[OA\Post(
        path: '/api/drafts',
        operationId: 'keepLesson',
        requestBody: new Sent(KeepLessonBody::class),
        responses: [
            new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'version', type: 'integer')], required: ['id', 'version'], type: 'object')),
            new Problem,
        ],
    )]
    public function keep(KeepLessonBody $body, KeepLesson $keep): JsonResponse
    {
        $id = $keep($body->teacher(), $body->lesson(), $body->lessonAsObject(), $body->whole('version'));

        return new JsonResponse(['id' => $id, 'version' => $this->shelf->bundle()->lesson($id)->version], 201);
    }
}
