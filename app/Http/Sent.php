<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** What has to be sent. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Sent extends OA\RequestBody
{
    /** @param  class-string  $body */
    public function __construct(string $body)
    {
        parent::__construct(required: true, content: new OA\JsonContent(ref: $body));
    }
}
