<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The sheet on which one sample is looked at. */
final readonly class LookController
{
    #[OA\Get(
        path: '/api/classes/{class}/students/{student}/look',
        operationId: 'look',
        parameters: [
            new InPath('class'),
            new InPath('student'),
            new InQuery('lesson'),
            new InQuery('version', type: 'integer'),
            new InQuery('replaces', description: 'a kept sample that is corrected: its lesson, version and drill'),
            new InQuery('machine', description: 'it was sewn on; where the student sits when it is not given'),
            new InQuery('schools', description: 'it was sewn by, ids with commas; as the class is taught when it is not given'),
        ],
        responses: [new Answer(LookView::class), new Problem],
    )]
    public function look(Request $request, SewingClass $class, Student $student, ShowLook $show): JsonResponse
    {
        $lesson = $request->query('lesson');
        $version = $request->query('version');
        $replaces = $request->query('replaces');
        $machine = $request->string('machine')->toString();

        return new JsonResponse($show(
            $class, $student->id, is_string($lesson) && $lesson !== '' ? $lesson : null, Who::asks($request)->unit,
            is_string($version) && ctype_digit($version) ? (int) $version : null, is_string($replaces) && $replaces !== '' ? strtolower($replaces) : null,
            $machine !== '' ? $machine : null, $request->has('schools') ? array_values(array_filter(explode(',', $request->string('schools')->toString()))) : null,
        ));
    }
}
