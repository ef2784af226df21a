<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Problem;
use App\Models\KeptAnswer;
use App\Models\Student;
use App\Records\Shelf;
use App\Support\Clock;
use App\Views\SettingsLogView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\InputError;

/** The calculations of the core, and answers kept from them. */
final readonly class WorkshopController
{
    /** Described in the contract from each calculation's own schemas; see ContractCommand. */
    public function compute(Request $request, string $name): JsonResponse
    {
        return new JsonResponse(Registry::standard()->run($name, $request->getContent()));
    }

    #[OA\Get(
        path: '/api/settings',
        operationId: 'settingsLog',
        parameters: [new OA\Parameter(name: 'q', in: 'query', required: false, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'settings of good samples', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SettingsLogView::class))), new Problem],
    )]
    public function settings(Request $request, FindSettings $find): JsonResponse
    {
        return new JsonResponse($find(mb_substr($request->string('q')->toString(), 0, 80)));
    }

    #[OA\Post(
        path: '/api/answers',
        operationId: 'keepAnswer',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: AnswerBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: KeptAnswerView::class)), new Problem],
    )]
    public function keep(AnswerBody $body, Shelf $shelf): JsonResponse
    {
        $lesson = $body->wordOrNull('lesson');
        $row = $body->wordOrNull('row');
        if ($lesson !== null) {
            $rows = array_keys($shelf->bundle()->lesson($lesson)->sampler->rows);
            $row === null || in_array($row, $rows, true) || throw InputError::at('row', $row, 'The lesson has these rows: '.implode(', ', $rows).'.');
        }
        $student = $body->wordOrNull('student');
        $student === null || Student::query()->whereKey($student)->exists() || throw InputError::at('student', $student, 'There is no such student in this studio.');

        return new JsonResponse(KeptAnswerView::of(KeptAnswer::query()->create([
            'tool' => $body->word('tool'), 'text' => $body->word('text'), 'lesson' => $lesson, 'row' => $row, 'student_id' => $student, 'kept_at' => Clock::now(),
        ])), 201);
    }

    #[OA\Get(
        path: '/api/answers',
        operationId: 'answers',
        parameters: [new OA\Parameter(name: 'lesson', in: 'query', required: false, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'student', in: 'query', required: false, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: KeptAnswerView::class))), new Problem],
    )]
    public function index(Request $request): JsonResponse
    {
        $query = KeptAnswer::query()->orderByDesc('kept_at')->limit(100);
        foreach (['lesson' => 'lesson', 'student' => 'student_id'] as $asked => $column) {
            is_string($request->query($asked)) && $query->where($column, $request->query($asked));
        }

        return new JsonResponse(array_values($query->get()->map(KeptAnswerView::of(...))->all()));
    }

    #[OA\Delete(
        path: '/api/answers/{answer}',
        operationId: 'dropAnswer',
        parameters: [new OA\Parameter(name: 'answer', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function drop(string $answer): JsonResponse
    {
        KeptAnswer::query()->findOrFail($answer)->delete();

        return new JsonResponse(null, 204);
    }
}
