<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class MeBody extends Body
{
    public function rules(): array
    {
        return [
            'unit' => ['sometimes', 'string', 'in:mm,in'],
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'hand' => ['sometimes', 'string', 'in:right,left'],
            'language' => ['sometimes', 'string', 'in:en'],
        ];
    }
}
