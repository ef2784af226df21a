<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Writes docs/formats/openapi.json from the attributes in the code. */
final class ContractCommand extends Command
{
    protected $signature = 'seam:contract {--to=docs/formats/openapi.json}';

    protected $description = 'Write the OpenAPI contract from the code';

    public function handle(): int
    {
        $openapi = (new Generator)->setVersion('3.1.0')->generate([app_path('Http')]);
        if ($openapi === null) {
            $this->error('The contract could not be generated.');

            return self::FAILURE;
        }
        /** @var array{components: array{schemas: array<string, array<string, mixed>>}} $contract */
        $contract = json_decode($openapi->toJson(), true, 64, JSON_THROW_ON_ERROR);
        foreach ($contract['components']['schemas'] as &$schema) {
            // An answer always carries all of its fields; what may be empty is nullable.
            if (! isset($schema['required']) && is_array($schema['properties'] ?? null)) {
                $schema['required'] = array_keys($schema['properties']);
            }
        }
        $to = $this->option('to');
        file_put_contents(base_path(is_string($to) ? $to : ''), json_encode($contract, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n");

        return self::SUCCESS;
    }
}
