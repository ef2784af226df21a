<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** What is answered when all is well: one view, a list of them, or nothing. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Answer extends OA\Response
{
    /** @param  class-string|null  $view */
    public function __construct(?string $view = null, bool $list = false, ?int $status = null, string $description = 'as asked')
    {
        parent::__construct(response: $status ?? ($view === null ? 204 : 200), description: $description, content: match (true) {
            $view === null => null,
            $list => new OA\JsonContent(type: 'array', items: new OA\Items(ref: $view)),
            default => new OA\JsonContent(ref: $view),
        });
    }
}
