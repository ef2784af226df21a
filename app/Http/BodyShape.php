<?php

declare(strict_types=1);

namespace App\Http;

/**
 * The shape of a body in the contract, read from the rules it is checked by: what
 * there is, of which kind, what must be there and what it may be. What rules do not
 * say (what a field is for, that the keys of a list are names) is said in the
 * attribute of the body and goes before.
 *
 * @phpstan-type Node array{rules: list<mixed>, parts: array<string, mixed>}
 */
final class BodyShape
{
    private const KINDS = ['boolean' => 'boolean', 'integer' => 'integer', 'numeric' => 'number', 'array' => 'array', 'string' => 'string', 'email' => 'string', 'ulid' => 'string', 'timezone' => 'string', 'date_format' => 'string', 'in' => 'string'];

    /**
     * @param  array<string, mixed>  $rules  as a Body says them: "known.length_mm" => ['numeric', …]
     * @return array<string, mixed>
     */
    public static function of(array $rules): array
    {
        $tree = ['rules' => [], 'parts' => []];
        foreach ($rules as $path => $of) {
            $tree = self::put($tree, explode('.', $path), is_array($of) ? array_values($of) : [$of]);
        }

        return self::object($tree['parts']);
    }

    /**
     * @param  array<string, mixed>  $rules
     * @param  array<string, mixed>  $said  properties as an attribute says them: only what they are for, or all of them
     * @return array<string, mixed>
     */
    public static function with(array $rules, array $said): array
    {
        $shape = self::of($rules);
        /** @var array<string, mixed> $properties */
        $properties = $shape['properties'];
        foreach ($properties as $name => $of) {
            $more = (array) ($said[$name] ?? []);
            $properties[$name] = array_keys($more) === ['description'] ? $more + (array) $of : ($more === [] ? $of : $more);
        }

        // Said even where nothing must be there: a shape without it is an answer's, where all is.
        return ['required' => $shape['required'] ?? [], 'properties' => $properties, 'type' => 'object'];
    }

    /**
     * @param  Node  $node
     * @param  list<string>  $path
     * @param  list<mixed>  $rules
     * @return Node
     */
    private static function put(array $node, array $path, array $rules): array
    {
        if ($path === []) {
            return ['rules' => $rules] + $node;
        }
        $step = array_shift($path);
        $node['parts'][$step] = self::put(self::node($node['parts'][$step] ?? null), $path, $rules);

        return $node;
    }

    /** @return Node */
    private static function node(mixed $node): array
    {
        /** @var Node|null $node */
        return $node ?? ['rules' => [], 'parts' => []];
    }

    /**
     * @param  array<string, mixed>  $parts
     * @param  list<string>  $names
     * @return array<string, mixed> by name: what has a rule of its own, and else what goes for all
     */
    private static function named(array $parts, array $names): array
    {
        return $names === [] ? $parts : array_combine($names, array_map(fn (string $n): mixed => $parts[$n] ?? $parts['*'] ?? self::node(null), $names));
    }

    /**
     * @param  array<string, mixed>  $parts
     * @return array<string, mixed>
     */
    private static function object(array $parts): array
    {
        $properties = [];
        $needed = [];
        foreach ($parts as $name => $part) {
            $part = self::node($part);
            $properties[$name] = self::schema($part);
            $said = array_filter($part['rules'], is_string(...));
            array_intersect(['required', 'present'], $said) !== [] && ! in_array('sometimes', $said, true) && $needed[] = $name;
        }

        return ['type' => 'object', 'properties' => $properties] + ($needed === [] ? [] : ['required' => $needed]);
    }

    /**
     * @param  Node  $node
     * @return array<string, mixed>|object
     */
    private static function schema(array $node): array|object
    {
        $said = [];
        foreach ($node['rules'] as $rule) {
            $said += is_string($rule) ? [explode(':', $rule, 2)[0] => explode(':', $rule, 2)[1] ?? ''] : [$rule instanceof Keyed ? 'keyed' : 'string' => ''];
        }
        $type = array_values(array_intersect_key(self::KINDS, $said))[0] ?? null;
        $shape = match (true) {
            isset($said['keyed']) => ['type' => 'object', 'additionalProperties' => self::schema(self::node($node['parts']['*'] ?? null))],
            isset($node['parts']['*']) && ($said['array'] ?? '') === '' => ['type' => 'array', 'items' => self::schema(self::node($node['parts']['*']))],
            $node['parts'] !== [], ($said['array'] ?? '') !== '' => self::object(self::named($node['parts'], array_values(array_filter(explode(',', $said['array'] ?? ''))))),
            $type === 'array' => ['type' => 'array', 'items' => (object) []],
            $type === null => [],
            default => ['type' => $type],
        };
        $among = isset($said['in']) && $said['in'] !== '' ? explode(',', $said['in']) : [];
        $among === [] || $shape['enum'] = $type === 'integer' ? array_map(intval(...), $among) : $among;
        if (isset($said['nullable'], $shape['type'])) {
            $shape['type'] = [$shape['type'], 'null'];
            isset($shape['enum']) && $shape['enum'][] = null;
        }

        return $shape === [] ? (object) [] : $shape;
    }
}
