<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['unit'], properties: [new OA\Property(property: 'unit', type: 'string', enum: ['mm', 'in'])])]
final class MeBody extends Body
{
    public function rules(): array
    {
        return ['unit' => ['required', 'string', 'in:mm,in']];
    }
}
