<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [new OA\Property(property: 'text', description: 'names as they were typed or pasted, or a table with headings')])]
final class NamesBody extends Body
{
    public function rules(): array
    {
        return ['text' => ['present', 'nullable', 'string', 'max:20000']];
    }
}
