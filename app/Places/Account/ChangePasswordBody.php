<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class ChangePasswordBody extends Body
{
    public function rules(): array
    {
        return [
            'current' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', 'max:200', new GoodPassword],
        ];
    }
}
