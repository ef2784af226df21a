<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Body;
use App\Models\ServiceEntry;
use OpenApi\Attributes as OA;

#[OA\Schema]
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
