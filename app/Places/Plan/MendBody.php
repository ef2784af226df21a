<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['version'], properties: [new OA\Property(property: 'version', type: 'integer')])]
final class MendBody extends Body
{
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0']];
    }
}
