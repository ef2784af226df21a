<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Body;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;

/** What is answered is what the published contract says, field by field. */
final class ContractTest extends TestCase
{
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
        foreach ((array) self::contract()['paths'] as $path => $methods) {
            foreach (array_keys((array) $methods) as $method) {
                $described[] = "$method $path";
            }
        }
        self::assertEqualsCanonicalizing($described, $served);
    }

    public function test_every_route_has_a_name_of_its_own(): void
    {
        $names = array_map(fn (Route $r): string => (string) $r->getName(), array_filter(Routes::getRoutes()->getRoutes(), fn (Route $r): bool => str_starts_with($r->uri(), 'api/') && ! str_contains($r->uri(), 'anything')));
        self::assertGreaterThan(130, count($names));
        self::assertNotContains('', $names);
        self::assertSame(count($names), count(array_unique($names)));
        self::assertSame(url('/api/classes/c1/plan'), route('plan.show', ['class' => 'c1']));
    }

    public function test_whatever_takes_a_body_says_so_in_the_contract(): void
    {
        $taking = 0;
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            /** @var Route $route */
            if (! str_starts_with($route->uri(), 'api/') || ! is_string($route->getAction('uses'))) {
                continue;
            }
            foreach ($route->signatureParameters(['subClass' => Body::class]) as $parameter) {
                $taking++;
                self::assertNotNull(data_get(self::contract(), ['paths', '/'.$route->uri(), strtolower($route->methods()[0]), 'requestBody']), "{$route->uri()} takes a body: {$parameter->getName()}");
            }
        }
        self::assertGreaterThan(40, $taking);
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
            '/api/me' => '/api/me', '/api/lessons' => '/api/lessons', '/api/machines' => '/api/machines', '/api/find' => '/api/find', "/api/room?class={$class->id}" => '/api/room', '/api/answers' => '/api/answers',
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
}
