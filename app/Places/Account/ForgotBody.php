<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['email'], properties: [
    new OA\Property(property: 'email', type: 'string'),
])]
final class ForgotBody extends Body
{
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190'],
        ];
    }
}
