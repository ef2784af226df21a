<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['current', 'password'], properties: [
    new OA\Property(property: 'current', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
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
