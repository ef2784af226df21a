<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** A file that is answered: a page to print, a picture, a sheet. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class FileAnswer extends OA\Response
{
    public const PDF = 'application/pdf';

    public function __construct(string $kind, string $description)
    {
        parent::__construct(response: 200, description: $description, content: new OA\MediaType(mediaType: $kind, schema: new OA\Schema(type: 'string', format: 'binary')));
    }
}
