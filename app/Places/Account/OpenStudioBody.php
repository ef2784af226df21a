<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['studio', 'name', 'email', 'password', 'timezone'], properties: [
    new OA\Property(property: 'studio', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
    new OA\Property(property: 'timezone', type: 'string'),
    new OA\Property(property: 'link', type: 'string', nullable: true, description: 'of whoever was given one to open a studio'),
])]
final class OpenStudioBody extends Body
{
    public function rules(): array
    {
        return [
            'studio' => ['required', 'string', 'max:80'],
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'max:200', new GoodPassword],
            'timezone' => ['required', 'string', 'timezone:all'],
            'link' => ['nullable', 'string', 'max:100'],
        ];
    }
}
