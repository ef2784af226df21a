<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'lesson', type: 'object', additionalProperties: true, description: 'as far as it is drafted: a lesson of a bundle once it fits'),
])]
final class NewRowBody extends DraftBody
{
    public function rules(): array
    {
        return parent::rules() + ['piece' => ['required', 'string', 'max:60'], 'stitch' => ['required', 'string', 'max:60']];
    }
}
