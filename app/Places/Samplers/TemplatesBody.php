<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

/** Pictures to choose from, for a lesson that is drafted. */
#[OA\Schema(properties: [
    new OA\Property(property: 'lesson', type: 'object', additionalProperties: true, description: 'as far as it is drafted: a lesson of a bundle once it fits'),
])]
final class TemplatesBody extends DraftBody
{
    public function rules(): array
    {
        return parent::rules() + ['group' => ['required', 'string', 'max:20']];
    }
}
