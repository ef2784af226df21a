<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'row', type: 'object', additionalProperties: true, description: 'as far as it is drafted'),
    new OA\Property(property: 'kind', type: 'string', enum: ['yes-no', 'length', 'lengths', 'count', 'stitches']),
])]
final class NewCheckBody extends Body
{
    public function rules(): array
    {
        return ['row' => ['required', 'array'], 'label' => ['required', 'string', 'max:60'], 'kind' => ['required', 'string', 'max:20'], 'teaches' => ['present', 'array', 'max:40'], 'teaches.*' => ['string', 'max:60']];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return $this->asSent('row');
    }
}
