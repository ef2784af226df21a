<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Body;
use App\Models\ServiceEntry;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['kind', 'note'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['needle', 'clean', 'service', 'out-of-use', 'in-use']), new OA\Property(property: 'note', type: 'string'),
])]
final class ServiceBody extends Body
{
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'in:'.implode(',', ServiceEntry::KINDS)],
            // Whoever finds it out of use wants to know why.
            'note' => ['present', 'nullable', 'string', 'max:200', 'required_if:kind,out-of-use'],
        ];
    }
}
