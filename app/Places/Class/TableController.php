<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Models\SewingClass;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The lists of a class as tables. */
final readonly class TableController
{
    #[OA\Get(
        path: '/api/classes/{class}/table',
        operationId: 'classTable',
        parameters: [new InPath('class'), new InQuery('of', required: true, among: ClassTables::KINDS)],
        responses: [new FileAnswer('text/csv', 'a table (RFC 4180)'), new Problem],
    )]
    public function table(Request $request, SewingClass $class, ClassTables $tables): Response
    {
        $of = $request->string('of')->toString();

        return new Response($tables($class, $of), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$of.csv\""]);
    }
}
