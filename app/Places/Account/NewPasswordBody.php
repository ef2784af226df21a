<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class NewPasswordBody extends Body
{
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'max:200', new GoodPassword],
        ];
    }
}
