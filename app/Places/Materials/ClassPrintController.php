<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Models\SewingClass;
use App\Printing\Format;
use App\Printing\Pdf;
use App\Support\LongJob;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Everything a class takes along on paper. */
final readonly class ClassPrintController
{
    public function __construct(private PrintPages $print) {}

    #[OA\Get(
        path: '/api/classes/{class}/print',
        operationId: 'printClass',
        parameters: [
            new InPath('class'),
            new InQuery('what', required: true, among: PrintPages::OF_CLASS),
            new InQuery('lesson', description: 'of slips: whose samples they are for'),
            new InQuery('job', description: 'a ULID of the caller, to ask how far it is'),
            new InQuery('format', among: ['A4', 'Letter']),
        ],
        responses: [new FileAnswer(FileAnswer::PDF, 'a PDF at true size'), new Problem],
    )]
    public function class(Request $request, SewingClass $class): Response
    {
        $what = $request->string('what')->toString();

        return Pdf::of($this->print->class($class, $what, Format::asked($request->query('format')), LongJob::named($request, $request->query('job')), $request->query('lesson') === null ? null : $request->string('lesson')->toString()), $what);
    }
}
