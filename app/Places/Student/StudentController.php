<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\Enrolment;
use App\Models\OwnLook;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Places\Look\ReadSampler;
use App\Printing\Format;
use App\Printing\Pdf;
use App\Printing\ProgressCard;
use App\Printing\Sheet;
use App\Records\Shelf;
use App\Support\Link;
use App\Support\OwnPageEnd;
use App\Support\Who;
use App\Views\LessonPicturesView;
use App\Views\ScannedSamplerView;
use App\Views\StudentView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;

/** One student: for the teacher, and the page the student sees. */
final readonly class StudentController
{
    public function __construct(private ShowStudent $show) {}

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}',
        operationId: 'showStudent',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(StudentView::class, description: 'everything about them'), new Problem],
    )]
    public function show(Request $request, SewingClass $class, Student $student): JsonResponse
    {
        /** @var User $user the route is behind sign-in */
        $user = $request->user();

        return new JsonResponse(($this->show)($class, $student->id, $user->unit));
    }

    #[OA\Put(
        path: '/api/classes/{class}/students/{student}',
        operationId: 'noteStudent',
        parameters: [new InPath('class'), new InPath('student')],
        requestBody: new Sent(StudentBody::class),
        responses: [new Answer(description: 'noted'), new Problem],
    )]
    public function update(StudentBody $body, SewingClass $class, Student $student, Shelf $shelf): JsonResponse
    {
        $enrolment = $this->enrolment($class->id, $student->id);
        foreach ($body->words('wishes') as $i => $wish) {
            isset($shelf->bundle()->lessons[$wish]) || throw InputError::at("wishes[$i]", $wish, 'There is no such lesson on the shelf.');
        }
        DB::transaction(function () use ($enrolment, $body): void {
            $enrolment->update(['note' => $body->word('note')]);
            $enrolment->student()->firstOrFail()->update(['wishes' => $body->words('wishes'), 'own_machine' => $body->boolean('own_machine')] + ($body->has('hand') ? ['hand' => $body->word('hand')] : []));
        });

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/classes/{class}/students/{student}/page',
        operationId: 'openPage',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [
            new OA\Response(response: 201, description: 'the new link; an older one no longer works', content: new OA\JsonContent(properties: [new OA\Property(property: 'page', type: 'string'), new OA\Property(property: 'until', type: 'string')], required: ['page', 'until'])),
            new Problem,
        ],
    )]
    public function openPage(SewingClass $class, Student $student): JsonResponse
    {
        $link = Link::new();
        $found = $this->enrolment($class->id, $student->id);
        // An older link ends with the new one.
        $found->update(['page_hash' => $link->hash, 'page_until' => $until = OwnPageEnd::of($found)]);

        return new JsonResponse(['page' => $link->token, 'until' => $until->toIso8601ZuluString()], 201);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}/page',
        operationId: 'closePage',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(description: 'the link no longer works'), new Problem],
    )]
    public function closePage(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class->id, $student->id)->update(['page_hash' => null, 'page_until' => null]);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/page/{token}',
        operationId: 'ownPage',
        parameters: [new InPath('token'), new InQuery('at', among: OwnLook::PLACES, description: 'where it is sewn')],
        responses: [new Answer(OwnPageView::class, description: 'the student’s own page'), new Problem],
    )]
    public function page(Request $request, string $token, ShowOwnPage $show): JsonResponse
    {
        return new JsonResponse($show($token, $request->query('at') === OwnLook::HOME), 200, ['X-Robots-Tag' => 'noindex, nofollow', 'Referrer-Policy' => 'no-referrer']);
    }

    #[OA\Get(
        path: '/api/page/{token}/pictures',
        operationId: 'ownPictures',
        parameters: [new InPath('token'), new InQuery('at', among: OwnLook::PLACES, description: 'where it is sewn')],
        responses: [new Answer(LessonPicturesView::class, description: 'steps of the next lesson, drawn'), new Problem],
    )]
    public function pictures(Request $request, string $token, ShowOwnPage $show): JsonResponse
    {
        return new JsonResponse($show->pictures($token, $request->query('at') === OwnLook::HOME), 200, ['X-Robots-Tag' => 'noindex, nofollow']);
    }

    #[OA\Get(
        path: '/api/page/{token}/sheet',
        operationId: 'ownSheet',
        parameters: [new InPath('token'), new InQuery('format', among: ['A4', 'Letter']), new InQuery('at', among: OwnLook::PLACES, description: 'where it is sewn')],
        responses: [new FileAnswer(FileAnswer::PDF, 'the practice sheet at true size'), new Problem],
    )]
    public function sheet(Request $request, string $token, ShowOwnPage $show): Response
    {
        $format = Format::tryFrom($request->string('format', 'A4')->toString()) ?? throw InputError::at('format', $request->query('format'), 'It must be one of: A4, Letter.');

        return new Response($show->sheet($token, $format, $request->query('at') === OwnLook::HOME), 200, ['Content-Type' => 'application/pdf', 'X-Robots-Tag' => 'noindex, nofollow']);
    }

    #[OA\Post(
        path: '/api/page/{token}/scan',
        operationId: 'ownScan',
        parameters: [new InPath('token'), new InQuery('lesson', required: true), new InQuery('at', among: OwnLook::PLACES, description: 'where it is sewn'), new InQuery('piece', description: 'of the sampler, where it has several'), new InQuery('dpi', type: 'number', description: 'of a flat scan; a photograph on the card where it is not given')],
        requestBody: new OA\RequestBody(required: true, description: 'JPEG or PNG', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        responses: [new Answer(ScannedSamplerView::class, description: 'what it says, or why it cannot be told; nothing of the picture is kept'), new Problem],
    )]
    public function scan(Request $request, string $token, ShowOwnPage $show, ReadSampler $read): JsonResponse
    {
        return new JsonResponse($show->scan($token, $request, $read));
    }

    #[OA\Get(
        path: '/api/page/{token}/card',
        operationId: 'ownCard',
        parameters: [new InPath('token'), new InQuery('format', among: ['A4', 'Letter']), new InQuery('size', among: ['one', 'two'], description: 'of sheets'), new InQuery('hand', among: ['left'], description: 'for whoever steers with the left hand')],
        responses: [new FileAnswer(FileAnswer::PDF, 'the card that a sample is photographed on, at true size'), new Problem],
    )]
    public function card(Request $request, string $token, ShowOwnPage $show): Response
    {
        return Pdf::of($show->card($token, Format::asked($request->query('format')), $request->query('size') === 'two', $request->query('hand') === 'left'), 'photo-card');
    }

    #[OA\Post(
        path: '/api/page/{token}/ask',
        operationId: 'ask',
        parameters: [new InPath('token')],
        requestBody: new Sent(AskBody::class),
        responses: [new Answer(description: 'it stands at their row until somebody has looked'), new Problem],
    )]
    public function ask(AskBody $body, string $token, ShowOwnPage $show): JsonResponse
    {
        $show->ask($token, $body->word('text'));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/page/{token}/looks',
        operationId: 'ownLook',
        parameters: [new InPath('token')],
        requestBody: new Sent(OwnLookBody::class),
        responses: [new Answer(OwnPageView::class, status: 201, description: 'with what they read'), new Problem],
    )]
    public function look(OwnLookBody $body, string $token, ShowOwnPage $show, KeepOwnLook $keep): JsonResponse
    {
        $show->look($token, $body->word('id'), $body->word('lesson'), $body->word('place'), $body->readings(), $keep);

        return new JsonResponse($show($token, $body->word('place') === OwnLook::HOME), 201);
    }

    #[OA\Delete(
        path: '/api/page/{token}/ask',
        operationId: 'askNoMore',
        parameters: [new InPath('token')],
        responses: [new Answer(description: 'taken back'), new Problem],
    )]
    public function askNoMore(string $token, ShowOwnPage $show): JsonResponse
    {
        $show->ask($token, null);

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/api/classes/{class}/students/{student}/ask',
        operationId: 'answered',
        parameters: [new InPath('class'), new InPath('student')],
        responses: [new Answer(description: 'somebody has looked'), new Problem],
    )]
    public function answered(SewingClass $class, Student $student): JsonResponse
    {
        $this->enrolment($class->id, $student->id)->update(['asks' => '', 'asked_at' => null]);

        return new JsonResponse(null, 204);
    }

    private function enrolment(string $class, string $student): Enrolment
    {
        return Enrolment::query()->where('class_id', $class)->where('student_id', $student)->firstOrFail();
    }

    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/print',
        operationId: 'printStudent',
        parameters: [new InPath('class'), new InPath('student'), new InQuery('format', among: ['A4', 'Letter'])],
        responses: [new FileAnswer(FileAnswer::PDF, 'a progress card'), new Problem],
    )]
    public function print(Request $request, SewingClass $class, Student $student, ShowStudent $show): Response
    {
        $sheet = new Sheet(Format::asked($request->query('format')), $class->name);
        ProgressCard::add($sheet, $class->name, $show($class, $student->id, Who::asks($request)->unit));

        return Pdf::of($sheet->bytes(), 'progress');
    }
}
