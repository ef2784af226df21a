<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'version', description: 'that was looked at'),
])]
final class VersionBody extends Body
{
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0']];
    }
}
