<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Routing\Route;
use Illuminate\Testing\TestResponse;
use OpenSeam\Core\Compute\SchemaCheck;
use OpenSeam\Core\InputError;
use Symfony\Component\HttpFoundation\Response;

/** Whatever a test sends and is answered fits the published contract: bodies that were taken, and every answer. */
trait HeldToContract
{
    /** @var array<string, mixed>|null */
    private static ?array $contract = null;

    /** @var array<string, SchemaCheck> by what is checked */
    private static array $checks = [];

    /** @return array<string, mixed> */
    protected static function contract(): array
    {
        if (self::$contract === null) {
            /** @var array<string, mixed> $contract */
            $contract = json_decode((string) file_get_contents(base_path('docs/formats/openapi.json')), true, 64, JSON_THROW_ON_ERROR);
            self::$contract = $contract;
        }

        return self::$contract;
    }

    /**
     * @param  string  $method
     * @param  string  $uri
     * @param  array<mixed>  $data
     * @param  array<string, string>  $headers
     * @param  int  $options
     * @return TestResponse<Response>
     */
    public function json($method, $uri, array $data = [], array $headers = [], $options = 0)
    {
        $response = parent::json($method, $uri, $data, $headers, $options);
        $route = request()->route();
        if (! $route instanceof Route || ! str_starts_with($route->uri(), 'api/') || $route->isFallback || str_contains($route->uri(), 'anything')) {
            return $response;
        }
        $at = ['/'.$route->uri(), strtolower($method)];
        if ($response->isSuccessful() && $data !== [] && ! in_array(strtolower($method), ['get', 'delete'], true)) {
            $this->assertSent($at[1], $at[0], (string) json_encode($data));
        }
        if (str_contains((string) $response->headers->get('Content-Type'), 'application/json') && $response->getContent() !== '' && $response->getContent() !== '{}') {
            $this->assertFits($at[1], $at[0], $response->getContent(), $response->isSuccessful() ? $response->getStatusCode() : 'default');
        }

        return $response;
    }

    /** What was taken is what the contract asks for. */
    protected function assertSent(string $method, string $path, string $json): void
    {
        $schema = data_get(self::contract(), ['paths', $path, $method, 'requestBody', 'content', 'application/json', 'schema']);
        if (! is_array($schema)) {
            // Noise to what takes no body; ContractTest sees to it that what takes one is described.
            return;
        }
        $sent = self::withObjects(json_decode($json, true, 64, JSON_THROW_ON_ERROR), $schema);
        $this->check("what was sent by $method $path", $schema, (string) json_encode($sent), false);
    }

    /**
     * PHP writes what is empty as a list; a browser sends an object where the contract has one.
     *
     * @param  array<mixed>  $schema
     */
    private static function withObjects(mixed $sent, array $schema): mixed
    {
        $ref = $schema['$ref'] ?? null;
        if (is_string($ref)) {
            $schema = (array) data_get(self::contract(), 'components.schemas.'.basename($ref));
        }
        if ($sent === [] && in_array('object', (array) ($schema['type'] ?? []), true)) {
            return (object) [];
        }
        foreach (is_array($sent) ? $sent : [] as $name => $value) {
            $of = $schema['properties'][$name] ?? $schema['items'] ?? $schema['additionalProperties'] ?? null;
            $sent[$name] = is_array($of) ? self::withObjects($value, $of) : $value;
        }

        return $sent;
    }

    protected function assertFits(string $method, string $path, string|false $json, int|string $status = 200): void
    {
        $schema = data_get(self::contract(), ['paths', $path, $method, 'responses', (string) $status, 'content', 'application/json', 'schema']);
        self::assertIsArray($schema, "$method $path answers $status");
        $this->check("$method $path, $status", $schema, (string) $json, true);
    }

    /** @param  array<mixed>  $schema */
    private function check(string $what, array $schema, string $json, bool $answer): void
    {
        try {
            (self::$checks[$what] ??= self::schemaCheck($schema, $answer))->check(json_decode($json, false, 64, JSON_THROW_ON_ERROR));
            $this->addToAssertionCount(1);
        } catch (InputError $e) {
            self::fail("$what, {$e->field}: {$e->getMessage()} Got: ".json_encode($e->got));
        }
    }

    /**
     * The contract's schemas that one speaks of, and those they speak of.
     *
     * @param  array<mixed>  $schema
     * @return array<string, mixed> by name
     */
    private static function reached(array $schema): array
    {
        $all = (array) data_get(self::contract(), 'components.schemas');
        $reached = [];
        for ($open = [$schema]; $open !== [];) {
            preg_match_all('~"#\\\\/components\\\\/schemas\\\\/(\\w+)"~', (string) json_encode(array_pop($open)), $m);
            foreach (array_diff($m[1], array_keys($reached)) as $name) {
                $open[] = $reached[$name] = $all[$name] ?? [];
            }
        }

        return $reached;
    }

    /** @param  array<mixed>  $schema */
    private static function schemaCheck(array $schema, bool $answer): SchemaCheck
    {
        // References point into the contract; here its schemas stand beside the one in hand.
        $whole = json_decode(str_replace('#\/components\/schemas\/', '#\/$defs\/', (string) json_encode(['$defs' => self::reached($schema)] + $schema)), true);
        self::assertIsArray($whole);

        /** @var array<string, mixed> $whole */
        return new SchemaCheck($answer ? self::strict($whole) : $whole);
    }

    /**
     * Nothing may be answered that the contract does not name.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function strict(array $schema): array
    {
        foreach ((array) $schema['$defs'] as $name => $def) {
            if (is_array($def) && isset($def['properties']) && $name !== 'ErrorBody') {
                data_set($schema, ['$defs', $name, 'additionalProperties'], false);
            }
        }

        return $schema;
    }
}
