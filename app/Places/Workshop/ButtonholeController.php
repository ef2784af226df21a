<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\ButtonholeJob;
use App\Printing\Format;
use App\Printing\Pdf;
use App\Printing\RecipePage;
use App\Printing\Sheet;
use App\Printing\StripPages;
use App\Printing\StripSvg;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\Strip;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Words;

/** Buttonholes from the button to the recipe. What works on them is made for each request: it holds the room as it is now. */
final readonly class ButtonholeController
{
    #[OA\Get(
        path: '/api/buttonholes',
        operationId: 'buttonholes',
        responses: [new Answer(ButtonholeListView::class, list: true, description: 'the last ones'), new Problem],
    )]
    public function index(SewButtonhole $sew): JsonResponse
    {
        return new JsonResponse($sew->recent());
    }

    #[OA\Put(
        path: '/api/buttonholes/{buttonhole}',
        operationId: 'keepButtonhole',
        parameters: [new InPath('buttonhole')],
        requestBody: new Sent(ButtonholeBody::class),
        responses: [new Answer(ButtonholeView::class), new Problem],
    )]
    public function keep(ButtonholeBody $body, string $buttonhole, SewButtonhole $sew): JsonResponse
    {
        preg_match('/^[0-9a-hjkmnp-tv-z]{26}$/i', $buttonhole) === 1 || throw InputError::at('buttonhole', $buttonhole, 'A ULID made where it was begun.');

        return new JsonResponse($sew->keep($body->teacher()->studio_id, strtolower($buttonhole), $body->job(), $body->wordOrNull('class'), $body->wordOrNull('student'), $body->wordOrNull('machine'), $body->wordOrNull('foot'), $body->teacher()->unit));
    }

    #[OA\Get(
        path: '/api/buttonholes/{buttonhole}',
        operationId: 'showButtonhole',
        parameters: [new InPath('buttonhole')],
        responses: [new Answer(ButtonholeView::class), new Problem],
    )]
    public function show(Request $request, ButtonholeJob $buttonhole, SewButtonhole $sew): JsonResponse
    {
        return new JsonResponse($sew->show($buttonhole, Who::asks($request)->unit));
    }

    #[OA\Delete(
        path: '/api/buttonholes/{buttonhole}',
        operationId: 'dropButtonhole',
        parameters: [new InPath('buttonhole')],
        responses: [new Answer, new Problem],
    )]
    public function drop(ButtonholeJob $buttonhole): JsonResponse
    {
        $buttonhole->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/buttonholes/{buttonhole}/tests',
        operationId: 'lookAtButtonhole',
        parameters: [new InPath('buttonhole')],
        requestBody: new Sent(ButtonholeTestBody::class),
        responses: [new Answer(ButtonholeView::class), new Problem],
    )]
    public function look(ButtonholeTestBody $body, ButtonholeJob $buttonhole, SewButtonhole $sew): JsonResponse
    {
        return new JsonResponse($sew->look($buttonhole, strtolower($body->word('id')), $body->read(), $body->teacher()->unit));
    }

    #[OA\Post(
        path: '/api/buttonholes/{buttonhole}/release',
        operationId: 'releaseButtonhole',
        parameters: [new InPath('buttonhole')],
        requestBody: new Sent(ButtonholeReleaseBody::class),
        responses: [new Answer(ButtonholeView::class), new Problem],
    )]
    public function release(ButtonholeReleaseBody $body, ButtonholeJob $buttonhole, SewButtonhole $sew): JsonResponse
    {
        return new JsonResponse($sew->release($buttonhole, $body->boolean('overrule'), $body->teacher()->unit));
    }

    #[OA\Get(
        path: '/api/runs/{machine}/{ends}/{signature}',
        operationId: 'runOfMachine',
        parameters: [new InPath('machine'), new InPath('ends'), new InPath('signature')],
        responses: [new Answer(ButtonholeRunView::class), new Problem],
    )]
    public function run(string $machine, string $ends, string $signature, ShowRun $show): JsonResponse
    {
        return new JsonResponse($show($machine, $ends, $signature), 200, ['X-Robots-Tag' => 'noindex, nofollow', 'Referrer-Policy' => 'no-referrer']);
    }

    #[OA\Get(
        path: '/api/buttonholes/{buttonhole}/print',
        operationId: 'printButtonhole',
        parameters: [new InPath('buttonhole'), new InQuery('what', required: true, among: ['strip', 'recipe']), new InQuery('format', among: ['A4', 'Letter'])],
        responses: [new FileAnswer(FileAnswer::PDF, 'a PDF at true size'), new Problem],
    )]
    public function print(Request $request, ButtonholeJob $buttonhole, ButtonholeWork $work): Response
    {
        $what = $request->string('what')->toString();
        in_array($what, ['strip', 'recipe'], true) || throw InputError::at('what', $what, 'It must be one of: strip, recipe.');
        $sheet = new Sheet(Format::asked($request->query('format')), $buttonhole->title);
        if ($what === 'recipe') {
            /** @var array<string, string> $lines */
            $lines = $buttonhole->recipe['lines'] ?? throw InputError::at('what', $what, 'There is no recipe yet: it is kept when the buttonhole may be sewn on the garment.');
            RecipePage::add($sheet, $buttonhole->title, $lines);
        } else {
            StripPages::add($sheet, $this->strip($buttonhole, $work));
        }

        return Pdf::of($sheet->bytes(), "buttonhole-$what");
    }

    #[OA\Get(
        path: '/api/buttonholes/{buttonhole}/svg',
        operationId: 'svgButtonhole',
        parameters: [new InPath('buttonhole')],
        responses: [
            new OA\Response(response: 200, description: 'the strip at true size', content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string'))),
            new Problem,
        ],
    )]
    public function svg(ButtonholeJob $buttonhole, ButtonholeWork $work): Response
    {
        return new Response(StripSvg::of($this->strip($buttonhole, $work), $buttonhole->title), 200, ['Content-Type' => 'image/svg+xml', 'Content-Disposition' => 'inline; filename="buttonhole-strip.svg"']);
    }

    private function strip(ButtonholeJob $job, ButtonholeWork $work): Strip
    {
        return $work->strip($job, $work->plan($job, Words::in()));
    }
}
