<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['version', 'starts_on', 'time', 'sessions', 'minutes'], properties: [
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'starts_on', type: 'string'), new OA\Property(property: 'time', type: 'string'),
    new OA\Property(property: 'sessions', type: 'integer'), new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'closed', type: 'array', items: new OA\Items(type: 'string'), description: 'days without a class, as 2030-12-25'),
    new OA\Property(property: 'pins', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'number of the session, from 1, by lesson'),
])]
final class LayOutBody extends Body
{
    use HasCourseDates, HasPins;

    public function rules(): array
    {
        return $this->dateRules() + $this->pinRules() + ['version' => ['required', 'integer', 'min:0']];
    }
}
