<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
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
