<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

/** Short ways to write the parts of a JSON Schema. */
final class Schema
{
    public const DRAFT = 'https://json-schema.org/draft/2020-12/schema';

    /**
     * @param  array<string, array<string, mixed>>  $properties
     * @param  list<string>  $optional
     * @return array<string, mixed>
     */
    public static function object(array $properties, array $optional = []): array
    {
        return [
            'type' => 'object',
            'properties' => $properties,
            'required' => array_values(array_diff(array_keys($properties), $optional)),
            'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> */
    public static function number(string $description, ?float $min = null, ?float $max = null, ?float $above = null): array
    {
        return ['type' => 'number', 'description' => $description]
            + ($min === null ? [] : ['minimum' => $min])
            + ($max === null ? [] : ['maximum' => $max])
            + ($above === null ? [] : ['exclusiveMinimum' => $above]);
    }

    /** @return array<string, mixed> */
    public static function whole(string $description, int $min, int $max): array
    {
        return ['type' => 'integer', 'description' => $description, 'minimum' => $min, 'maximum' => $max];
    }

    /** @return array<string, mixed> */
    public static function text(string $description, int $longest = 200): array
    {
        return ['type' => 'string', 'description' => $description, 'minLength' => 1, 'maxLength' => $longest];
    }

    /**
     * @param  list<string>  $values
     * @return array<string, mixed>
     */
    public static function oneOf(string $description, array $values): array
    {
        return ['type' => 'string', 'description' => $description, 'enum' => $values];
    }

    /**
     * @param  array<string, mixed>  $items
     * @return array<string, mixed>
     */
    public static function list(string $description, array $items, int $least = 0, int $most = 100_000): array
    {
        return ['type' => 'array', 'description' => $description, 'items' => $items, 'minItems' => $least, 'maxItems' => $most];
    }

    /** @return array<string, mixed> */
    public static function texts(string $description): array
    {
        return self::list($description, self::text('an id'));
    }

    /** @return array<string, mixed> of needle points */
    public static function points(): array
    {
        return self::list('[along, across] in mm, in sewing order', ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 2]);
    }
}
