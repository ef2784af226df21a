<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'lesson', type: 'object', additionalProperties: true, description: 'as far as it is drafted: a lesson of a bundle once it fits'),
    new OA\Property(property: 'version', description: 'the one it was made from; 0: a new lesson'),
])]
final class KeepLessonBody extends DraftBody
{
    public function rules(): array
    {
        return parent::rules() + ['version' => ['required', 'integer', 'min:0']];
    }
}
