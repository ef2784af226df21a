<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['version', 'sessions'], properties: [
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'sessions', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string'))),
    new OA\Property(property: 'pins', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'number of the session, from 1, by lesson'),
])]
final class PlanBody extends Body
{
    use HasPins;

    public function rules(): array
    {
        return $this->pinRules() + [
            'version' => ['required', 'integer', 'min:0'],
            'sessions' => ['required', 'array', 'max:60'],
            'sessions.*' => ['present', 'array', 'max:100'],
            'sessions.*.*' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return list<list<string>> lesson ids by session */
    public function sessions(): array
    {
        // As sent: the checked copy is put together rule by rule and loses the order.
        $sessions = $this->input('sessions');

        return array_values(array_map(
            fn (mixed $lessons): array => is_array($lessons) ? array_values(array_filter($lessons, is_string(...))) : [],
            is_array($sessions) ? $sessions : [],
        ));
    }
}
