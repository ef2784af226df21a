<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

/** What is seen on a foot. */
#[OA\Schema]
final class FootSeenBody extends Body
{
    public function rules(): array
    {
        return ['seen' => ['present', 'array', 'max:30'], 'seen.*' => ['required', 'string', 'max:30']];
    }
}
