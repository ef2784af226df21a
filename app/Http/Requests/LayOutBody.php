<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['version', 'starts_on', 'time', 'sessions', 'minutes'], properties: [
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'starts_on', type: 'string'), new OA\Property(property: 'time', type: 'string'),
    new OA\Property(property: 'sessions', type: 'integer'), new OA\Property(property: 'minutes', type: 'integer'),
])]
final class LayOutBody extends Body
{
    use HasCourseDates;

    public function rules(): array
    {
        return $this->dateRules() + ['version' => ['required', 'integer', 'min:0']];
    }
}
