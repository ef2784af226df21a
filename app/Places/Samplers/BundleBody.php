<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'bundle', type: 'object', additionalProperties: true, description: 'as described by course-bundle.schema.json'),
    new OA\Property(property: 'edition', description: 'of the shelf it was compared with'),
])]
final class BundleBody extends Body
{
    public function rules(): array
    {
        return ['bundle' => ['required', 'array'], 'edition' => ['sometimes', 'integer', 'min:0']];
    }

    /** @return array<string, mixed> */
    public function bundle(): array
    {
        return $this->asSent('bundle');
    }

    /** What was sent, with objects as objects: the schema tells {} from []. */
    public function bundleAsObject(): mixed
    {
        $sent = json_decode($this->getContent(), false, 64);

        return is_object($sent) ? $sent->bundle ?? null : null;
    }
}
