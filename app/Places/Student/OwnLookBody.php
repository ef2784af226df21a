<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Body;
use App\Models\OwnLook;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'a ULID made where it was read'),
    new OA\Property(property: 'readings', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]))),
])]
final class OwnLookBody extends Body
{
    /** Whoever has the link may read their own sample. */
    public function authorize(): bool
    {
        return true;
    }

    public function rules(): array
    {
        return ['id' => ['required', 'string', 'ulid'], 'lesson' => ['required', 'string', 'max:60'], 'place' => ['required', 'string', 'in:'.implode(',', OwnLook::PLACES)], 'readings' => ['required', 'array', 'max:100']];
    }

    /** @return array<array-key, mixed> as typed; the core reads and checks them */
    public function readings(): array
    {
        $readings = $this->input('readings');

        return is_array($readings) ? $readings : [];
    }
}
