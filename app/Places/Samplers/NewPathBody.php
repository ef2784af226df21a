<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'run', type: 'string', enum: ['edge', 'line', 'arc', 'circle', 's-curve', 'square-spiral', 'round-spiral']),
    new OA\Property(property: 'width_mm', description: 'of the piece'),
])]
final class NewPathBody extends Body
{
    public function rules(): array
    {
        return ['run' => ['required', 'string', 'max:20'], 'width_mm' => ['required', 'numeric', 'min:1', 'max:5000'], 'height_mm' => ['required', 'numeric', 'min:1', 'max:5000']];
    }
}
