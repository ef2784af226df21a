<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'students', description: 'names of those who are new'),
    new OA\Property(property: 'returning', description: 'ids of those who were here before; their history comes along'),
])]
final class StudentsBody extends Body
{
    public function rules(): array
    {
        return ['students' => ['required_without:returning', 'array', 'max:40'], 'returning' => ['sometimes', 'array', 'max:40'], 'returning.*' => ['required', 'string', 'max:26'], 'students.*' => ['required', 'string', 'max:60', 'distinct:ignore_case']];
    }
}
