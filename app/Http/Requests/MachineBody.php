<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Machine;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'drive', 'tension_mark', 'usable', 'note'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'drive', type: 'string', enum: ['mechanical', 'computerised', 'straight-only']),
    new OA\Property(property: 'tension_mark', type: 'string'), new OA\Property(property: 'usable', type: 'boolean'), new OA\Property(property: 'note', type: 'string'),
])]
final class MachineBody extends Body
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'drive' => ['required', 'string', 'in:'.implode(',', Machine::DRIVES)],
            'tension_mark' => ['required', 'string', 'max:10'],
            'usable' => ['required', 'boolean'],
            'note' => ['present', 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, mixed> */
    public function machine(): array
    {
        return [
            'name' => $this->word('name'), 'drive' => $this->word('drive'), 'tension_mark' => $this->word('tension_mark'),
            'usable' => $this->boolean('usable'), 'note' => $this->word('note'),
        ];
    }
}
