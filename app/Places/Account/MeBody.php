<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: [], properties: [
    new OA\Property(property: 'unit', type: 'string', enum: ['mm', 'in']),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'hand', type: 'string', enum: ['right', 'left']),
    new OA\Property(property: 'language', type: 'string', enum: ['en']),
])]
final class MeBody extends Body
{
    public function rules(): array
    {
        return [
            'unit' => ['sometimes', 'string', 'in:mm,in'],
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'hand' => ['sometimes', 'string', 'in:right,left'],
            'language' => ['sometimes', 'string', 'in:en'],
        ];
    }
}
