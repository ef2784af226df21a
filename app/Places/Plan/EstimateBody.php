<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use App\Records\Shelf;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'minutes', description: 'of a session'),
    new OA\Property(property: 'course', type: 'string'),
])]
final class EstimateBody extends Body
{
    use HasWishes;

    public function rules(): array
    {
        return $this->wishRules() + $this->frameRules() + [
            'students' => ['required', 'integer', 'min:1', 'max:40'],
            'helpers' => ['required', 'integer', 'min:0', 'max:20'],
            'machines' => ['required', 'integer', 'min:1', 'max:40'],
            'minutes' => ['required', 'integer', 'min:30', 'max:600'],
            'course' => ['sometimes', 'string', 'in:'.implode(',', array_keys(app(Shelf::class)->bundle()->courses))],
        ];
    }
}
