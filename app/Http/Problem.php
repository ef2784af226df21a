<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** What every address answers when something is wrong. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Problem extends OA\Response
{
    public function __construct()
    {
        parent::__construct(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]));
    }
}
