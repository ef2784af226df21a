<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\Models\SewingClass;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * Requests drawn by lot from the contract: right ones, nearly right ones and nonsense. None may end in
 * an error of the program, and whatever is refused names the field and what is allowed.
 * SEAM_FUZZ says how many (`./seam test fuzz`: 10,000), SEAM_SEED repeats a run.
 */
final class ContractFuzzTest extends TestCase
{
    private const SHORT_RUN = 400;

    private Randomizer $lot;

    /** @var array<string, mixed> */
    private array $contract;

    /** @var array<string, list<string>> what the names in addresses and bodies may stand for */
    private array $known = [];

    public function test_no_request_ends_in_an_error_of_the_program(): void
    {
        $seed = (int) (getenv('SEAM_SEED') ?: random_int(1, 1_000_000_000));
        $count = (int) (getenv('SEAM_FUZZ') ?: self::SHORT_RUN);
        fwrite(STDERR, "\nfuzz: $count requests, seed $seed (SEAM_SEED=$seed repeats them)\n");
        $this->lot = new Randomizer(new Mt19937($seed));
        /** @var array<string, mixed> $contract */
        $contract = json_decode((string) file_get_contents(base_path('docs/formats/openapi.json')), true, 64, JSON_THROW_ON_ERROR);
        $this->contract = $contract;
        $class = $this->furnish();
        $operations = $this->operations();
        $wrong = $kinds = [];
        for ($i = 0; $i < $count; $i++) {
            [$method, $path, $operation] = $operations[$this->lot->getInt(0, count($operations) - 1)];
            [$address, $body] = $this->request($path, $operation);
            DB::beginTransaction();
            try {
                $response = $this->call($method, $address, [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body);
            } finally {
                DB::rollBack();
            }
            $status = $response->getStatusCode();
            $kinds[intdiv($status, 100)] = ($kinds[intdiv($status, 100)] ?? 0) + 1;
            if ($status >= 500) {
                $wrong["$method $path"] = "$status $method $address ".mb_substr($body, 0, 600).' '.mb_substr((string) $response->exception?->getMessage(), 0, 300).' '.$response->exception?->getFile().':'.$response->exception?->getLine();
            } elseif ($status >= 400 && $status !== 404) {
                self::assertNotSame('', (string) $response->json('error.message'), "$method $address says nothing");
                self::assertIsString($response->json('error.field'), "$method $address names no field");
            }
        }
        fwrite(STDERR, 'answered: '.json_encode($kinds)."\n");
        self::assertSame([], array_values($wrong));
        self::assertTrue(SewingClass::query()->whereKey($class->id)->exists());
        self::assertGreaterThan(0, $kinds[2] ?? 0, 'some were right');
        self::assertGreaterThan(0, $kinds[4] ?? 0, 'some were wrong');
    }

    /** A class with samples, machines and feet, so that right requests find something. */
    private function furnish(): SewingClass
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $sample = $this->seam($class, $student);
        $this->postJson('/api/samples', $sample)->assertCreated();
        $machines = (array) $this->getJson('/api/machines')->json();
        $feet = (array) $this->getJson('/api/room')->json('feet');
        $id = (string) $sample['id'];
        $this->known = [
            'class' => [$class->id], 'student' => [$student, $this->student($class, 2)], 'lesson' => ['first-seam', 'safe-seat', 'guides', 'zip'], 'skill' => ['keep-allowance', 'safe-habits'],
            'sample' => [$id], 'replaces' => [$id], 'machine' => array_map(strval(...), array_column($machines, 'id')), 'foot' => array_map(strval(...), array_column($feet, 'id')),
            'course' => ['first-steps'], 'format' => ['A4', 'Letter'], 'what' => ['sampler', 'card', 'seats', 'handout'], 'stitch' => ['straight', 'zigzag'], 'row' => ['seam'],
        ];

        return $class;
    }

    /** @return list<array{string, string, array<string, mixed>}> */
    private function operations(): array
    {
        $all = [];
        foreach ((array) $this->contract['paths'] as $path => $methods) {
            foreach ((array) $methods as $method => $operation) {
                // Signing out ends the run, and jobs of many seconds are measured elsewhere.
                if (! in_array($path, ['/api/sign-out', '/api/sign-in', '/api/studios'], true)) {
                    $all[] = [strtoupper((string) $method), (string) $path, (array) $operation];
                }
            }
        }

        return $all;
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return array{string, string} address and body
     */
    private function request(string $path, array $operation): array
    {
        $query = [];
        foreach ((array) ($operation['parameters'] ?? []) as $parameter) {
            $parameter = (array) $parameter;
            $name = (string) $parameter['name'];
            $value = $this->chance(0.85) ? $this->value((array) $parameter['schema'], $name, 0) : $this->nonsense(0);
            if ($parameter['in'] === 'path') {
                $path = str_replace("{{$name}}", rawurlencode(is_scalar($value) ? mb_substr((string) $value, 0, 200) : 'x'), $path);
            } elseif (($parameter['required'] ?? false) === true || $this->chance(0.6)) {
                $query[$name] = $this->chance(0.06) ? [['a']] : $value;
            }
        }
        $body = '';
        $schema = data_get($operation, 'requestBody.content.application/json.schema');
        if (is_array($schema)) {
            $value = $this->value($schema, '', 0);
            $body = (string) json_encode($this->chance(0.5) ? $value : $this->spoil($value), JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);
            $body = $this->chance(0.02) ? substr($body, 0, intdiv(strlen($body), 2)) : $body;
        } elseif (isset($operation['requestBody'])) {
            $body = $this->lot->getBytes($this->lot->getInt(1, 400));
        }

        return [$path.($query === [] ? '' : '?'.http_build_query($query)), $body];
    }

    /** @phpstan-impure */
    private function chance(float $of): bool
    {
        return $this->lot->getInt(0, 999_999) < $of * 1_000_000;
    }

    /**
     * What the schema asks for, mostly.
     *
     * @param  array<array-key, mixed>  $schema
     */
    private function value(array $schema, string $name, int $depth): mixed
    {
        if (isset($schema['$ref'])) {
            return $this->value((array) data_get($this->contract, 'components.schemas.'.basename((string) $schema['$ref'])), $name, $depth);
        }
        foreach (['oneOf', 'anyOf', 'allOf'] as $several) {
            if (isset($schema[$several])) {
                $of = array_values((array) $schema[$several]);

                return $this->value((array) $of[$this->lot->getInt(0, count($of) - 1)], $name, $depth);
            }
        }
        if (isset($this->known[$name]) && $this->known[$name] !== [] && $this->chance(0.85)) {
            return $this->known[$name][$this->lot->getInt(0, count($this->known[$name]) - 1)];
        }
        if (isset($schema['enum'])) {
            $of = array_values((array) $schema['enum']);

            return $of[$this->lot->getInt(0, count($of) - 1)];
        }
        $types = (array) ($schema['type'] ?? (isset($schema['properties']) ? 'object' : 'string'));
        $type = $types[$this->lot->getInt(0, count($types) - 1)];
        $low = is_numeric($schema['minimum'] ?? null) ? (float) $schema['minimum'] : (is_numeric($schema['exclusiveMinimum'] ?? null) ? (float) $schema['exclusiveMinimum'] + 1e-6 : 0.0);
        $high = is_numeric($schema['maximum'] ?? null) ? (float) $schema['maximum'] : 200.0;

        return match ($type) {
            'null' => null,
            'boolean' => $this->chance(0.5),
            'integer' => $this->chance(0.1) ? (int) $low : $this->lot->getInt((int) $low, max((int) $low, (int) min($high, 40))),
            'number' => $this->chance(0.15) ? ($this->chance(0.5) ? $low : $high) : $low + (min($high, 60.0) - $low) * $this->lot->getInt(0, 10_000) / 10_000,
            'array' => $depth > 6 ? [] : array_map(fn (): mixed => $this->value((array) ($schema['items'] ?? ['type' => 'string']), $name, $depth + 1), range(1, max((int) ($schema['minItems'] ?? 1), $this->lot->getInt(1, 3)))),
            'object' => $this->object($schema, $depth),
            default => match (true) {
                $name === 'id' => '01'.substr(strtr(bin2hex($this->lot->getBytes(16)), 'ilou', 'abcd'), 0, 24),
                str_contains($name, '_on') || $name === 'closed' => '2030-05-'.sprintf('%02d', $this->lot->getInt(1, 31)),
                $name === 'time' => '18:30',
                default => ['a', 'edge', '16', '5/8', 'Ona', 'straight', 'standard'][$this->lot->getInt(0, 6)],
            },
        };
    }

    /**
     * @param  array<array-key, mixed>  $schema
     * @return array<string, mixed>|object
     */
    private function object(array $schema, int $depth): array|object
    {
        $made = [];
        $required = (array) ($schema['required'] ?? []);
        foreach ($depth > 6 ? [] : (array) ($schema['properties'] ?? []) as $name => $property) {
            if (in_array($name, $required, true) || $this->chance(0.6)) {
                $made[(string) $name] = $this->value((array) $property, (string) $name, $depth + 1);
            }
        }
        if (is_array($schema['additionalProperties'] ?? null) && $this->chance(0.8)) {
            $made[$this->chance(0.5) ? 'seam.allowance' : 'first-seam'] = $this->value($schema['additionalProperties'], '', $depth + 1);
        }

        return $made === [] ? (object) [] : $made;
    }

    /** Something in it is changed to nonsense. */
    private function spoil(mixed $value): mixed
    {
        if (! is_array($value) || $value === [] || $this->chance(0.25)) {
            return $this->nonsense(0);
        }
        $key = array_keys($value)[$this->lot->getInt(0, count($value) - 1)];
        if ($this->chance(0.1)) {
            unset($value[$key]);
        } elseif ($this->chance(0.1)) {
            $value['nobody asked'] = $this->nonsense(0);
        } else {
            $value[$key] = $this->spoil($value[$key]);
        }

        return $value;
    }

    private function nonsense(int $depth): mixed
    {
        return match ($this->lot->getInt(0, 21)) {
            0 => null, 1 => true, 2 => -1, 3 => 0, 4 => 1e308, 5 => 5e-324, 6 => '1e999', 7 => PHP_INT_MAX, 8 => '', 9 => ' ',
            10 => "a\u{0000}b", 11 => str_repeat('x', 70_000), 12 => [[null]], 13 => [], 14 => (object) [], 15 => str_repeat('9', 400), 16 => "\u{202E}emordnilap 🧵 ''\";--",
            17 => array_fill(0, $this->lot->getInt(1, 3_000), 1), 18 => '../../etc/passwd', 19 => '2030-02-31', 20 => $depth > 3 ? 1 : ['a' => $this->nonsense($depth + 1)],
            default => '<script>alert(1)</script>',
        };
    }
}
