<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Body;
use App\Http\BodyShape;
use Illuminate\Console\Command;
use OpenApi\Generator;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Compute\RoomSchema;
use Symfony\Component\Finder\Finder;

/** Writes docs/formats/openapi.json from the attributes in the code. */
final class ContractCommand extends Command
{
    protected $signature = 'seam:contract {--to=docs/formats/openapi.json}';

    protected $description = 'Write the OpenAPI contract from the code';

    public function handle(): int
    {
        $openapi = (new Generator)->setVersion('3.1.0')->generate([app_path()]);
        if ($openapi === null) {
            $this->error('The contract could not be generated.');

            return self::FAILURE;
        }
        /** @var array{paths: array<string, mixed>, components: array{schemas: array<string, array{properties?: array<string, mixed>, required?: list<string>}>}} $contract */
        $contract = json_decode($openapi->toJson(), true, 64, JSON_THROW_ON_ERROR);
        $contract['components']['schemas'] = self::bodies($contract['components']['schemas']);
        foreach ($contract['components']['schemas'] as &$schema) {
            foreach ($schema['properties'] ?? [] as $name => $property) {
                // "mixed" is the language's word, not the contract's: anything is anything.
                if (is_array($property) && in_array('mixed', (array) ($property['type'] ?? []), true)) {
                    $schema['properties'][$name] = ['description' => 'what the field held'];
                }
            }
            foreach ($schema['properties'] ?? [] as $name => $property) {
                // What may be empty is one of the choices: a list of choices without it refuses it.
                if (is_array($property) && is_array($property['enum'] ?? null) && in_array('null', (array) ($property['type'] ?? []), true) && ! in_array(null, $property['enum'], true)) {
                    $property['enum'][] = null;
                    $schema['properties'][$name] = $property;
                }
            }
            // An answer always carries all of its fields; what may be empty is nullable.
            if (! isset($schema['required']) && isset($schema['properties'])) {
                $schema['required'] = array_keys($schema['properties']);
            }
        }
        $contract['components']['schemas'] = ['MachineFacts' => RoomSchema::machine(), 'FootFacts' => RoomSchema::foot(), 'MachineFactsSent' => ['required' => []] + RoomSchema::machine(), 'FootFactsSent' => RoomSchema::foot()] + self::bundle() + $contract['components']['schemas'];
        foreach (['MachineFacts', 'FootFacts'] as $facts) {
            $contract['components']['schemas'][$facts]['required'] = array_keys((array) ($contract['components']['schemas'][$facts]['properties'] ?? []));
        }
        $contract['paths'] += self::calculations();
        // By name, so that moving a class changes nothing here.
        ksort($contract['paths']);
        ksort($contract['components']['schemas']);
        $to = $this->option('to');
        $to = is_string($to) ? $to : '';
        file_put_contents(str_starts_with($to, '/') ? $to : base_path($to), json_encode($contract, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n");

        return self::SUCCESS;
    }

    /**
     * What is sent, as its rules have it.
     *
     * @param  array<string, array<string, mixed>>  $schemas
     * @return array<string, array<string, mixed>>
     */
    private static function bodies(array $schemas): array
    {
        foreach (Finder::create()->files()->in(app_path())->name('*Body.php') as $file) {
            $class = 'App\\'.str_replace('/', '\\', substr($file->getRelativePathname(), 0, -4));
            if (! is_subclass_of($class, Body::class) || (new \ReflectionClass($class))->isAbstract() || ! isset($schemas[$file->getBasename('.php')])) {
                continue;
            }
            $schemas[$file->getBasename('.php')] = BodyShape::with((new $class)->rules(), self::said($schemas, $file->getBasename('.php')));
        }

        return $schemas;
    }

    /**
     * What attributes say of a body's fields, its own before those of the body it extends.
     *
     * @param  array<string, array<string, mixed>>  $schemas
     * @return array<string, mixed>
     */
    private static function said(array $schemas, string $name): array
    {
        $said = (array) ($schemas[$name]['properties'] ?? []);
        foreach ((array) ($schemas[$name]['allOf'] ?? []) as $part) {
            $part = (array) $part;
            $said += (array) ($part['properties'] ?? []);
            is_string($part['$ref'] ?? null) && $said += self::said($schemas, basename($part['$ref']));
        }

        /** @var array<string, mixed> $said */
        return $said;
    }

    /**
     * A lesson of a bundle and its parts, by name.
     *
     * @return array<string, array<string, mixed>>
     */
    private static function bundle(): array
    {
        /** @var array{properties: array{lessons: array{items: array{properties: array{sampler: array{properties: array{rows: array{items: array{properties: array<string, array<string, mixed>>}}}}}}}}} $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/course-bundle.schema.json')), true, 64, JSON_THROW_ON_ERROR);
        $lesson = $schema['properties']['lessons']['items'];
        $row = $lesson['properties']['sampler']['properties']['rows']['items'];
        $parts = ['BundlePath' => $row['properties']['path'], 'BundleReading' => $row['properties']['readings']['items'] ?? [], 'BundleCheck' => $row['properties']['checks']['items'] ?? []];
        $row['properties']['path'] = ['$ref' => '#/components/schemas/BundlePath'];
        $row['properties']['readings']['items'] = ['$ref' => '#/components/schemas/BundleReading'];
        $row['properties']['checks']['items'] = ['$ref' => '#/components/schemas/BundleCheck'];
        $lesson['properties']['sampler']['properties']['rows']['items'] = ['$ref' => '#/components/schemas/BundleRow'];

        return ['BundleLesson' => $lesson, 'BundleRow' => $row, ...$parts];
    }

    /**
     * One path for each calculation, described by its own schemas.
     *
     * @return array<string, mixed>
     */
    private static function calculations(): array
    {
        $paths = [];
        foreach (Registry::standard()->all() as $name => $calculation) {
            $json = fn (array $schema): array => ['application/json' => ['schema' => $schema]];
            $paths["/api/compute/$name"] = ['post' => [
                'operationId' => $name, 'description' => $calculation->summary(),
                'requestBody' => ['required' => true, 'content' => $json($calculation->schema())],
                'responses' => [
                    '200' => ['description' => 'as asked', 'content' => $json($calculation->answer())],
                    'default' => ['description' => 'what is wrong', 'content' => $json(['properties' => ['error' => ['$ref' => '#/components/schemas/ErrorBody']], 'type' => 'object'])],
                ],
            ]];
        }

        return $paths;
    }
}
