<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Places\Room\ShowDials;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\Who;
use App\Views\DialView;
use App\Views\LessonPicturesView;
use App\Views\LessonView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\RowLook;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Words;

/** The lessons on the shelf, as a class is taught them where one is named. */
final readonly class LessonController
{
    #[OA\Get(
        path: '/api/lessons',
        operationId: 'lessons',
        parameters: [new InQuery('class', description: 'in the ways this class is taught')],
        responses: [new Answer(LessonView::class, list: true), new Problem],
    )]
    public function index(Request $request, Shelf $shelf): JsonResponse
    {
        $bundle = $shelf->asTaught($request->string('class')->toString());

        return new JsonResponse(array_values(array_map(fn (Lesson $l): LessonView => LessonView::of($l, $bundle), $bundle->lessons->all())));
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/dials',
        operationId: 'dials',
        parameters: [new InPath('lesson'), new InQuery('class', description: 'in the way this class is taught')],
        responses: [new Answer(DialView::class, list: true), new Problem],
    )]
    public function dials(Request $request, string $lesson, Shelf $shelf, ShowDials $show): JsonResponse
    {
        return new JsonResponse($show($shelf->asTaught($request->string('class')->toString())->lesson($lesson)));
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/pictures',
        operationId: 'lessonPictures',
        parameters: [
            new InPath('lesson'),
            new InQuery('class', description: 'in the way this class is taught'),
            new InQuery('machine', description: 'of the room, that it is shown on; without one the first that is in use'),
            new InQuery('hand', among: ['right', 'left'], description: 'of who is shown it'),
        ],
        responses: [new Answer(LessonPicturesView::class), new Problem],
    )]
    public function pictures(Request $request, string $lesson, Shelf $shelf): JsonResponse
    {
        $machines = RoomInventory::read()->machines->where('usable', true);
        $asked = $request->string('machine')->toString();
        $machine = $asked === '' ? $machines->first() : $machines->firstWhere('id', $asked) ?? throw InputError::at('machine', $asked, 'There is no such machine in use in the room.');
        $found = $shelf->asTaught($request->string('class')->toString())->lesson($lesson);
        $pictures = LessonPictures::of($found, $machine === null ? new MachineLook : MachineLook::of($machine->core()), $request->query('hand') === 'left');

        return new JsonResponse(LessonPicturesView::of($pictures, $found, Words::in(Who::asks($request)->unit)));
    }

    #[OA\Get(
        path: '/api/lessons/{lesson}/looks',
        operationId: 'rowLooks',
        parameters: [new InPath('lesson'), new InQuery('class', description: 'in the way this class is taught')],
        responses: [new Answer(RowLookView::class, list: true, description: 'what its rows look like, met, near and not yet'), new Problem],
    )]
    public function looks(Request $request, string $lesson, Shelf $shelf): JsonResponse
    {
        $words = Words::in(Who::asks($request)->unit);
        $looks = [];
        $taught = $shelf->asTaught($request->string('class')->toString())->lesson($lesson);
        $shown = new Shown($taught->sampler, $taught->folds);
        foreach ($taught->sampler->rows as $row) {
            foreach ($row->fields as $field) {
                array_push($looks, ...array_map(fn (RowLook $look): RowLookView => RowLookView::of("$row->id.$field->id", $field, $look, $words), RowLooks::of($row, $field, $words, $shown)));
            }
        }

        return new JsonResponse($looks);
    }

    #[OA\Put(
        path: '/api/classes/{class}/schools',
        operationId: 'chooseSchools',
        parameters: [new InPath('class')],
        requestBody: new Sent(SchoolsBody::class),
        responses: [new Answer(LessonView::class, description: 'the lesson as this class is taught it now'), new Problem],
    )]
    public function choose(SchoolsBody $body, SewingClass $class, ChooseSchools $choose, Shelf $shelf): JsonResponse
    {
        return new JsonResponse(LessonView::of($choose($class, $body->word('lesson'), $body->words('schools')), $shelf->bundle()));
    }
}
