<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class InviteBody extends Body
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'string', 'in:owner,teacher,helper'],
            'email' => ['nullable', 'string', 'email', 'max:190'],
        ];
    }
}
