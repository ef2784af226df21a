<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use App\Records\Shelf;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['students', 'helpers', 'machines', 'minutes'], properties: [
    new OA\Property(property: 'students', type: 'integer'), new OA\Property(property: 'helpers', type: 'integer'), new OA\Property(property: 'machines', type: 'integer'),
    new OA\Property(property: 'minutes', type: 'integer', description: 'of a session'), new OA\Property(property: 'course', type: 'string'),
    new OA\Property(property: 'home', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'order', type: 'string', enum: ['course', 'stitches-first', 'feet-first', 'one-day']),
    new OA\Property(property: 'together', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string'))),
    new OA\Property(property: 'settle', type: 'integer'), new OA\Property(property: 'clear', type: 'integer'),
    new OA\Property(property: 'review_every', type: 'integer'), new OA\Property(property: 'review_minutes', type: 'integer'), new OA\Property(property: 'pace', type: 'integer'),
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
