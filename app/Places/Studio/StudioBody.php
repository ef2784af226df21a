<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class StudioBody extends Body
{
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'timezone' => ['sometimes', 'string', 'timezone:all'],
            'archive_after_days' => ['sometimes', 'integer', 'min:30', 'max:3650'],
            'delete_after_days' => ['sometimes', 'nullable', 'integer', 'min:30', 'max:7300'],
            'page_weeks' => ['sometimes', 'integer', 'min:0', 'max:104'],
        ];
    }
}
