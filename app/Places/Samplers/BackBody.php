<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'number', description: 'the edition to go back to; 0: as it came'),
    new OA\Property(property: 'edition', description: 'the one in use'),
])]
final class BackBody extends Body
{
    public function rules(): array
    {
        return ['number' => ['required', 'integer', 'min:0'], 'edition' => ['required', 'integer', 'min:0']];
    }
}
