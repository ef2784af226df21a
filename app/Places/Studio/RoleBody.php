<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class RoleBody extends Body
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'string', 'in:owner,teacher,helper'],
        ];
    }
}
