<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'lesson', type: 'object', additionalProperties: true, description: 'as far as it is drafted: a lesson of a bundle once it fits'),
])]
class DraftBody extends Body
{
    public function rules(): array
    {
        return ['lesson' => ['required', 'array']];
    }

    /** @return array<string, mixed> */
    public function lesson(): array
    {
        return $this->asSent('lesson');
    }

    /** What was sent, with objects as objects: the schema tells {} from []. */
    public function lessonAsObject(): mixed
    {
        $sent = json_decode($this->getContent(), false, 64);

        return is_object($sent) ? $sent->lesson ?? null : null;
    }
}
