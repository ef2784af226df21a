<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['students'], properties: [new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'string'))])]
final class StudentsBody extends Body
{
    public function rules(): array
    {
        return ['students' => ['required', 'array', 'min:1', 'max:40'], 'students.*' => ['required', 'string', 'max:60', 'distinct:ignore_case']];
    }
}
