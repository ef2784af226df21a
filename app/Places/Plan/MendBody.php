<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class MendBody extends Body
{
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0']];
    }
}
