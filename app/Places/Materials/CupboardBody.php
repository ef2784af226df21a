<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class CupboardBody extends Body
{
    public function rules(): array
    {
        return [
            'item' => ['required', 'string', 'max:60', 'regex:/^[a-z0-9]+([-.][a-z0-9]+)*$/'],
            'have' => ['sometimes', 'numeric', 'min:0', 'max:100000'],
            'price' => ['sometimes', 'numeric', 'min:0', 'max:100000'],
            'ticked' => ['sometimes', 'boolean'],
        ];
    }
}
