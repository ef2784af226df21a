<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'table', description: 'samples as a table with headings, one reading a row'),
    new OA\Property(property: 'try', description: 'only say what it would be'),
])]
final class ImportBody extends Body
{
    public function rules(): array
    {
        return ['table' => ['required', 'string', 'max:2000000'], 'try' => ['sometimes', 'boolean']];
    }
}
