<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Body;
use App\Http\Keyed;
use App\Models\Student;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'students', description: 'names of those who are new'),
    new OA\Property(property: 'hands', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string', enum: ['left', 'right']), description: 'by name, of those of whom it is known'),
    new OA\Property(property: 'own_machines', description: 'names of those who have a machine at home'),
    new OA\Property(property: 'returning', description: 'ids of those who were here before; their history comes along'),
])]
final class StudentsBody extends Body
{
    public function rules(): array
    {
        return [
            'students' => ['required_without:returning', 'array', 'max:40'], 'returning' => ['sometimes', 'array', 'max:40'], 'returning.*' => ['required', 'string', 'max:26'], 'students.*' => ['required', 'string', 'max:60', 'distinct:ignore_case'],
            'hands' => ['sometimes', 'array', new Keyed, 'max:40'], 'hands.*' => ['required', 'string', 'in:'.implode(',', Student::HANDS)], 'own_machines' => ['sometimes', 'array', 'max:40'], 'own_machines.*' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> left or right, by name */
    public function hands(): array
    {
        return array_filter($this->asSent('hands'), is_string(...));
    }
}
