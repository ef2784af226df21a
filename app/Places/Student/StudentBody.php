<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Body;
use App\Models\Student;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'note', description: 'the teacher’s own, for nobody else'),
    new OA\Property(property: 'wishes', description: 'lesson ids'),
    new OA\Property(property: 'own_machine', description: 'there is one at home'),
    new OA\Property(property: 'hand', description: 'sewn with; null: nobody said; left out, it stays'),
])]
final class StudentBody extends Body
{
    public function rules(): array
    {
        return ['note' => ['present', 'nullable', 'string', 'max:1000'], 'wishes' => ['present', 'array', 'max:20'], 'wishes.*' => ['string', 'max:60', 'distinct'], 'own_machine' => ['required', 'boolean'], 'hand' => ['sometimes', 'nullable', 'string', 'in:'.implode(',', Student::HANDS)]];
    }
}
