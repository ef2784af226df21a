<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['to'], properties: [
    new OA\Property(property: 'to', type: 'string'),
])]
final class MoveBody extends Body
{
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', 'max:26'],
        ];
    }
}
