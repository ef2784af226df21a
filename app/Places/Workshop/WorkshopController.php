<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
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
        parameters: [new InQuery('q')],
        responses: [new Answer(SettingsLogView::class, list: true, description: 'settings of good samples'), new Problem],
    )]
    public function settings(Request $request, FindSettings $find): JsonResponse
    {
        return new JsonResponse($find(mb_substr($request->string('q')->toString(), 0, 80)));
    }

    #[OA\Post(
        path: '/api/answers',
        operationId: 'keepAnswer',
        requestBody: new Sent(AnswerBody::class),
        responses: [new Answer(KeptAnswerView::class, status: 201), new Problem],
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
        parameters: [new InQuery('lesson'), new InQuery('student')],
        responses: [new Answer(KeptAnswerView::class, list: true), new Problem],
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
        parameters: [new InPath('answer')],
        responses: [new Answer, new Problem],
    )]
    public function drop(KeptAnswer $answer): JsonResponse
    {
        $answer->delete();

        return new JsonResponse(null, 204);
    }
}
