<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

#[OA\OpenApi(info: new OA\Info(title: 'Open Seam', version: '1', description: 'The application\'s own interface: session cookie and X-XSRF-TOKEN header, lengths in mm, times in UTC.'))]
// Filled from the core's own schemas when the contract is written; see ContractCommand.
#[OA\Schema(schema: 'MachineFacts', type: 'object')]
#[OA\Schema(schema: 'FootFacts', type: 'object')]
final class Contract {}
