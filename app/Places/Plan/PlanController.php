<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\SewingClass;
use App\Places\Samplers\ExportBundle;
use App\Records\CourseDates;
use App\Records\Shelf;
use App\Support\LongJob;
use App\Views\NamedView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\BundleJson;
use OpenSeam\Core\InputError;

/** The plan of a class. */
final readonly class PlanController
{
    public function __construct(private ShowPlan $show) {}

    #[OA\Get(
        path: '/api/classes/{class}/plan',
        operationId: 'showPlan',
        parameters: [new InPath('class')],
        responses: [new Answer(PlanView::class), new Problem],
    )]
    public function show(SewingClass $class): JsonResponse
    {
        return new JsonResponse(($this->show)($class));
    }

    #[OA\Put(
        path: '/api/classes/{class}/plan',
        operationId: 'storePlan',
        parameters: [new InPath('class')],
        requestBody: new Sent(PlanBody::class),
        responses: [new Answer(PlanView::class), new Problem],
    )]
    public function store(PlanBody $body, SewingClass $class, StorePlan $store): JsonResponse
    {
        $store($class, $body->sessions(), $body->whole('version'), $body->pins(), $body->home());

        return new JsonResponse(($this->show)($class));
    }

    #[OA\Post(
        path: '/api/classes/{class}/plan/lay-out',
        operationId: 'layOutPlan',
        parameters: [new InPath('class')],
        requestBody: new Sent(LayOutBody::class),
        responses: [new Answer(PlanView::class), new Problem],
    )]
    public function layOut(LayOutBody $body, SewingClass $class, LayOutPlan $layOut): JsonResponse
    {
        $layOut($class, $body->dates(self::known($class, $body->teacher()->studio->timezone)), $body->whole('version'), $body->wishes(), $body->frame(), LongJob::named($body, $body->wordOrNull('job')));

        return new JsonResponse(($this->show)($class->refresh()));
    }

    #[OA\Post(
        path: '/api/classes/{class}/plan/try',
        operationId: 'tryPlan',
        parameters: [new InPath('class')],
        requestBody: new Sent(LayOutBody::class),
        responses: [new Answer(PlanView::class, description: 'how it would look; nothing is kept'), new Problem],
    )]
    public function tryOut(LayOutBody $body, SewingClass $class, TryPlan $try): JsonResponse
    {

        return new JsonResponse($try($class, $body->dates(self::known($class, $body->teacher()->studio->timezone)), $body->whole('version'), $body->wishes(), $body->frame(), LongJob::named($body, $body->wordOrNull('job'))));
    }

    /** The dates a plan has: what a body leaves out stays. */
    private static function known(SewingClass $class, string $zone): CourseDates
    {
        $plan = $class->plan()->with('sessions')->firstOrFail();

        return CourseDates::ofPlan($plan, array_values($plan->sessions->all()), $zone);
    }

    #[OA\Post(
        path: '/api/classes/{class}/plan/mend',
        operationId: 'mendPlan',
        parameters: [new InPath('class')],
        requestBody: new Sent(MendBody::class),
        responses: [
            new OA\Response(response: 200, description: 'lessons that were moved', content: new OA\JsonContent(properties: [new OA\Property(property: 'moved', type: 'array', items: new OA\Items(ref: NamedView::class)), new OA\Property(property: 'fewest', type: 'boolean', description: 'no fewer could have moved')], required: ['moved', 'fewest'], type: 'object')),
            new Problem,
        ],
    )]
    public function mend(MendBody $body, SewingClass $class, MendPlan $mend, Shelf $shelf): JsonResponse
    {
        $mended = $mend($class, $body->whole('version'));

        return new JsonResponse(['moved' => array_map(fn (string $id): NamedView => new NamedView($id, $shelf->bundle()->lesson($id)->title), $mended->moved), 'fewest' => $mended->fewest]);
    }

    #[OA\Get(
        path: '/api/classes/{class}/plan/export',
        operationId: 'exportPlan',
        parameters: [new InPath('class'), new InQuery('as', required: true, among: ['calendar', 'table', 'bundle'])],
        responses: [new FileAnswer('application/octet-stream', 'an iCalendar file, a CSV table, or a course bundle'), new Problem],
    )]
    public function export(Request $request, SewingClass $class, ExportPlan $export, ExportBundle $bundle): Response
    {
        $as = $request->string('as')->toString();
        [$type, $name, $text] = match ($as) {
            'calendar' => ['text/calendar; charset=utf-8', 'plan.ics', $export->calendar($class)],
            'table' => ['text/csv; charset=utf-8', 'plan.csv', $export->table($class)],
            'bundle' => ['application/json', 'plan.bundle.json', BundleJson::encode($bundle->asPlanned($class), JSON_PRETTY_PRINT)."\n"],
            default => throw InputError::at('as', $as, 'It must be one of: calendar, table, bundle.'),
        };

        return new Response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }
}
