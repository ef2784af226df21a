<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class MoveBody extends Body
{
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', 'max:26'],
        ];
    }
}
