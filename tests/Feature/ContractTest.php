<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use OpenSeam\Core\Compute\SchemaCheck;
use OpenSeam\Core\InputError;
use Tests\TestCase;

/** What is answered is what the published contract says, field by field. */
final class ContractTest extends TestCase
{
    /** @var array<string, mixed> */
    private array $contract;

    protected function setUp(): void
    {
        parent::setUp();
        /** @var array<string, mixed> $contract */
        $contract = json_decode((string) file_get_contents(base_path('docs/formats/openapi.json')), true, 64, JSON_THROW_ON_ERROR);
        $this->contract = $contract;
    }

    public function test_every_route_is_in_the_contract_and_none_besides(): void
    {
        $served = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            /** @var Route $route */
            if (str_starts_with($route->uri(), 'api/') && ! str_contains($route->uri(), 'anything')) {
                $served[] = strtolower($route->methods()[0]).' /'.$route->uri();
            }
        }
        $described = [];
        foreach ((array) $this->contract['paths'] as $path => $methods) {
            foreach (array_keys((array) $methods) as $method) {
                $described[] = "$method $path";
            }
        }
        self::assertEqualsCanonicalizing($described, $served);
    }

    public function test_answers_fit_the_contract(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $sample = $this->seam($class, $student, ['faults' => ['nest'], 'settings' => ['tension' => '4']]);
        $this->assertFits('post', '/api/samples', $this->postJson('/api/samples', $sample)->assertCreated()->getContent(), 201);
        unset($sample['id']);
        $this->assertFits('post', '/api/samples/preview', $this->postJson('/api/samples/preview', $sample)->getContent());
        foreach ([
            '/api/me' => '/api/me', '/api/lessons' => '/api/lessons', '/api/machines' => '/api/machines', '/api/find?q=e' => '/api/find', "/api/room?class={$class->id}" => '/api/room', '/api/answers' => '/api/answers',
            "/api/classes/{$class->id}" => '/api/classes/{class}',
            "/api/classes/{$class->id}/today" => '/api/classes/{class}/today',
            "/api/classes/{$class->id}/plan" => '/api/classes/{class}/plan', "/api/classes/{$class->id}/forecast" => '/api/classes/{class}/forecast', "/api/classes/{$class->id}/plan/needs" => '/api/classes/{class}/plan/needs',
            '/api/shelf' => '/api/shelf', '/api/lessons/guides/text' => '/api/lessons/{lesson}/text', "/api/classes/{$class->id}/materials" => '/api/classes/{class}/materials',
            "/api/classes/{$class->id}/students/$student/look" => '/api/classes/{class}/students/{student}/look',
            "/api/classes/{$class->id}/students/$student/look?lesson=square-spiral" => '/api/classes/{class}/students/{student}/look',
            "/api/classes/{$class->id}/students/$student/next" => '/api/classes/{class}/students/{student}/next',
            "/api/classes/{$class->id}/students/$student/skills/start-clean" => '/api/classes/{class}/students/{student}/skills/{skill}',
        ] as $address => $path) {
            $this->assertFits('get', $path, $this->getJson($address)->assertOk()->getContent());
        }
    }

    public function test_errors_fit_the_contract(): void
    {
        $class = $this->sewingClass($this->teacher());
        $bad = $this->postJson('/api/samples', $this->seam($class, $this->student($class), ['readings' => ['seam.allowance' => ['abc']]]));
        $this->assertFits('post', '/api/samples', $bad->getContent(), 'default');
        $this->assertFits('get', '/api/classes/{class}', $this->getJson('/api/classes/none')->assertNotFound()->getContent(), 'default');
        $this->assertFits('get', '/api/me', $this->getJson('/api/no-such-place')->assertNotFound()->getContent(), 'default');
    }

    private function assertFits(string $method, string $path, string|false $json, int|string $status = 200): void
    {
        $schema = data_get($this->contract, ['paths', $path, $method, 'responses', (string) $status, 'content', 'application/json', 'schema']);
        self::assertIsArray($schema, "$method $path");
        // References point into the contract; here its schemas stand beside the one in hand.
        $whole = json_decode(str_replace('#\/components\/schemas\/', '#\/$defs\/', (string) json_encode(['$defs' => data_get($this->contract, 'components.schemas')] + $schema)), true);
        self::assertIsArray($whole);
        /** @var array<string, mixed> $whole */
        try {
            (new SchemaCheck($this->strict($whole)))->check(json_decode((string) $json, false, 64, JSON_THROW_ON_ERROR));
            $this->addToAssertionCount(1);
        } catch (InputError $e) {
            self::fail("$method $path, {$e->field}: {$e->getMessage()} Got: ".json_encode($e->got));
        }
    }

    /**
     * Nothing may be answered that the contract does not name.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function strict(array $schema): array
    {
        foreach ((array) $schema['$defs'] as $name => $def) {
            if (is_array($def) && isset($def['properties']) && $name !== 'ErrorBody') {
                data_set($schema, ['$defs', $name, 'additionalProperties'], false);
            }
        }

        return $schema;
    }
}
