<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [new OA\Property(property: 'text', description: 'what is asked; empty: please look')])]
final class AskBody extends Body
{
    /** Whoever has the link may ask. */
    public function authorize(): bool
    {
        return true;
    }

    public function rules(): array
    {
        return ['text' => ['present', 'nullable', 'string', 'max:300']];
    }
}
