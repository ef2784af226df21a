<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'email', 'password'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class JoinBody extends Body
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'max:200', new GoodPassword],
        ];
    }
}
