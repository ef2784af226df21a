<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

#[OA\OpenApi(info: new OA\Info(title: 'Open Seam', version: '1', description: 'The application\'s own interface: session cookie and X-XSRF-TOKEN header, lengths in mm, times in UTC.'))]
final class Contract {}
