<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** Something that may be asked for behind the address. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class InQuery extends OA\Parameter
{
    /** @param  list<string>|null  $among  what it may be */
    public function __construct(string $name, bool $required = false, ?string $description = null, ?array $among = null, string $type = 'string')
    {
        $said = $description === null ? [] : ['description' => $description];
        parent::__construct(...$said, name: $name, in: 'query', required: $required, schema: $among === null ? new OA\Schema(type: $type) : new OA\Schema(type: $type, enum: $among));
    }
}
