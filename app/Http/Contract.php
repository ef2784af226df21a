<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

#[OA\OpenApi(info: new OA\Info(title: 'Open Seam', version: '1', description: 'The application\'s own interface: session cookie and X-XSRF-TOKEN header, lengths in mm, times in UTC.'))]
// Filled from the core's own schemas when the contract is written; see ContractCommand.
// Their shapes stand elsewhere: of machine and foot in the core, of a lesson and its parts in course-bundle.schema.json.
#[OA\Schema(schema: 'BundleLesson', type: 'object')]
#[OA\Schema(schema: 'BundleRow', type: 'object')]
#[OA\Schema(schema: 'BundlePath', type: 'object')]
#[OA\Schema(schema: 'BundleReading', type: 'object')]
#[OA\Schema(schema: 'BundleCheck', type: 'object')]
#[OA\Schema(schema: 'MachineFacts', type: 'object')]
#[OA\Schema(schema: 'FootFacts', type: 'object')]
// What is not said of it is the usual.
#[OA\Schema(schema: 'MachineFactsSent', type: 'object')]
#[OA\Schema(schema: 'FootFactsSent', type: 'object')]
final class Contract {}
