<?php

declare(strict_types=1);

namespace App\Places\Front;

use App\Http\Body;
use OpenApi\Attributes as OA;

/** What the screen at the front shows from now on. */
#[OA\Schema]
final class FrontBody extends Body
{
    public function rules(): array
    {
        return [
            'lesson' => ['required', 'string', 'max:60'],
            'at' => ['required', 'integer', 'min:0', 'max:60'],
            'begun_at' => ['present', 'nullable', 'string', 'max:40', 'date'],
        ];
    }
}
