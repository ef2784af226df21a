<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['lesson', 'piece', 'stitch'], properties: [
    new OA\Property(property: 'lesson', type: 'object', additionalProperties: true, description: 'as far as it is drafted: a lesson of a bundle once it fits'), new OA\Property(property: 'piece', type: 'string'), new OA\Property(property: 'stitch', type: 'string'),
])]
final class NewRowBody extends DraftBody
{
    public function rules(): array
    {
        return parent::rules() + ['piece' => ['required', 'string', 'max:60'], 'stitch' => ['required', 'string', 'max:60']];
    }
}
