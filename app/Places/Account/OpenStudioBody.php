<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'link', description: 'of whoever was given one to open a studio'),
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
