<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'schools', description: 'ids, at most one for each setting of the lesson; what is not named is taught the usual way'),
])]
final class SchoolsBody extends Body
{
    public function rules(): array
    {
        return ['lesson' => ['required', 'string', 'max:60'], 'schools' => ['present', 'array', 'max:20'], 'schools.*' => ['required', 'string', 'max:60']];
    }
}
