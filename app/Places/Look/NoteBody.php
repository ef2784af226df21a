<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class NoteBody extends Body
{
    public function rules(): array
    {
        return ['id' => ['nullable', 'string', 'ulid'], 'text' => ['required', 'string', 'max:1000']];
    }
}
