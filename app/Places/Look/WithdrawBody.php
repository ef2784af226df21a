<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class WithdrawBody extends Body
{
    public function rules(): array
    {
        return ['because' => ['nullable', 'string', 'max:1000']];
    }
}
