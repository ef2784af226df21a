<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'students', description: 'names of those who are new'),
    new OA\Property(property: 'hands', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string', enum: ['left', 'right']), description: 'by name, of those of whom it is known'),
    new OA\Property(property: 'own_machines', description: 'names of those who have a machine at home'),
    new OA\Property(property: 'returning', description: 'ids of those who were here before; their history comes along'),
])]
final class StudentsBody extends Body
{
    use HasComers;

    public function rules(): array
    {
        return $this->comerRules();
    }
}
