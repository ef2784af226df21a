<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['studio', 'name', 'email', 'password', 'timezone'], properties: [
    new OA\Property(property: 'studio', type: 'string'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string'), new OA\Property(property: 'timezone', type: 'string'),
])]
final class OpenStudioBody extends Body
{
    public function rules(): array
    {
        return [
            'studio' => ['required', 'string', 'max:80'],
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
            'timezone' => ['required', 'string', 'timezone:all'],
        ];
    }

    public function messages(): array
    {
        return ['email.unique' => 'This e-mail address has an account already. Sign in with it.'] + parent::messages();
    }
}
