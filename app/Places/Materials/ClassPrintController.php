<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\InPath;
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
        parameters: [new InPath('class'), new OA\Parameter(name: 'what', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: ['seats', 'bench', 'materials', 'handout', 'pack'])), new OA\Parameter(name: 'job', in: 'query', required: false, description: 'a ULID of the caller, to ask how far it is', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['A4', 'Letter']))],
        responses: [new OA\Response(response: 200, description: 'a PDF at true size', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new Problem],
    )]
    public function class(Request $request, SewingClass $class): Response
    {
        $what = $request->string('what')->toString();

        return Pdf::of($this->print->class($class, $what, Format::asked($request->query('format')), LongJob::named($request, $request->query('job'))), $what);
    }
}
