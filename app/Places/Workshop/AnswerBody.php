<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['tool', 'text'], properties: [
    new OA\Property(property: 'tool', type: 'string'), new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'lesson', type: 'string', nullable: true), new OA\Property(property: 'row', type: 'string', nullable: true), new OA\Property(property: 'student', type: 'string', nullable: true),
])]
final class AnswerBody extends Body
{
    public function rules(): array
    {
        return [
            'tool' => ['required', 'string', 'max:40'],
            'text' => ['required', 'string', 'max:2000'],
            'lesson' => ['nullable', 'string', 'max:60', 'required_without:student'],
            'row' => ['nullable', 'string', 'max:60'],
            'student' => ['nullable', 'string', 'max:26'],
        ];
    }
}
