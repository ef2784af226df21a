<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [new OA\Property(property: 'line_mm', description: 'what the printed card’s line of 100 mm measures by a ruler; null: nobody looked')])]
final class PhotoCardBody extends Body
{
    public function rules(): array
    {
        return ['line_mm' => ['present', 'nullable', 'numeric', 'min:90', 'max:110']];
    }
}
