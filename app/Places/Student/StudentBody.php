<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['note', 'wishes', 'own_machine'], properties: [
    new OA\Property(property: 'note', type: 'string', description: 'the teacher’s own, for nobody else'),
    new OA\Property(property: 'wishes', type: 'array', items: new OA\Items(type: 'string'), description: 'lesson ids'),
    new OA\Property(property: 'own_machine', type: 'boolean', description: 'there is one at home'),
])]
final class StudentBody extends Body
{
    public function rules(): array
    {
        return ['note' => ['present', 'nullable', 'string', 'max:1000'], 'wishes' => ['present', 'array', 'max:20'], 'wishes.*' => ['string', 'max:60', 'distinct'], 'own_machine' => ['required', 'boolean']];
    }
}
