<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

use OpenSeam\Core\InputError;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Schema as LoadedSchema;
use Opis\JsonSchema\Validator;

/** Checks JSON against a JSON Schema and says what is wrong in one plain sentence. */
final class SchemaCheck
{
    private readonly Validator $validator;

    private readonly LoadedSchema $schema;

    /** @param  array<string, mixed>  $schema */
    public function __construct(array $schema)
    {
        $this->validator = new Validator;
        $this->schema = $this->validator->loader()->loadObjectSchema((object) json_decode((string) json_encode($schema), false, 64, JSON_THROW_ON_ERROR));
    }

    /**
     * @param  mixed  $json  decoded with objects as objects
     *
     * @throws InputError naming the first field that does not fit
     */
    public function check(mixed $json): void
    {
        $error = $this->validator->schemaValidation($json, $this->schema);
        if ($error !== null) {
            throw $this->explain($error);
        }
    }

    private function explain(ValidationError $error): InputError
    {
        // The first leaf is the first thing a person would put right. Alternatives
        // are explained as a whole: their leaves contradict each other.
        while (! in_array($error->keyword(), ['anyOf', 'oneOf'], true) && ($error->subErrors()[0] ?? null) instanceof ValidationError) {
            $error = $error->subErrors()[0];
        }
        /** @var array<int|string|null> $path */
        $path = $error->data()->fullPath();
        $got = $error->data()->value();
        $args = $error->args();
        if ($error->keyword() === 'required') {
            $names = array_filter((array) ($args['missing'] ?? []), is_string(...));
            $missing = array_values($names)[0] ?? '';

            return InputError::at(self::field([...$path, $missing]), null, sprintf('"%s" is missing; it must be given.', $missing));
        }
        if ($error->keyword() === 'additionalProperties') {
            $extra = is_array($args['properties'] ?? null) ? $args['properties'] : [];
            $name = is_string($extra[0] ?? null) ? $extra[0] : '';
            $known = array_keys((array) ($this->described($error)['properties'] ?? []));

            return InputError::at(self::field([...$path, $name]), is_object($got) ? ($got->{$name} ?? null) : null, sprintf('"%s" is not known here. Allowed: %s.', $name, implode(', ', $known)));
        }

        return InputError::at(self::field($path), $got, $this->allowed($error->keyword(), $this->described($error)));
    }

    /** @param  array<array-key, mixed>  $schema */
    private function allowed(string $keyword, array $schema): string
    {
        $low = $schema['minimum'] ?? null;
        $above = $schema['exclusiveMinimum'] ?? null;
        $high = $schema['maximum'] ?? null;
        $number = fn (mixed $n): string => is_numeric($n) ? rtrim(rtrim(number_format((float) $n, 6, '.', ''), '0'), '.') : '';
        $range = match (true) {
            $low !== null && $high !== null => "from {$number($low)} to {$number($high)}",
            $above !== null && $high !== null => "above {$number($above)} and at most {$number($high)}",
            $low !== null => "{$number($low)} or more",
            $above !== null => "above {$number($above)}",
            $high !== null => "at most {$number($high)}",
            default => '',
        };
        $about = is_string($schema['description'] ?? null) ? ' ('.$schema['description'].')' : '';
        $types = implode(' or ', array_map(fn (mixed $t): string => match ($t) {
            'number' => 'a number', 'integer' => 'a whole number', 'string' => 'text', 'boolean' => 'true or false',
            'array' => 'a list', 'object' => 'an object', default => 'nothing (null)',
        }, (array) ($schema['type'] ?? [])));

        return match ($keyword) {
            'minimum', 'maximum', 'exclusiveMinimum' => "It must be $range$about.",
            'enum', 'const' => 'It must be one of: '.implode(', ', array_map(fn (mixed $v): string => is_string($v) ? $v : (string) json_encode($v), (array) ($schema['enum'] ?? [$schema['const'] ?? '']))).'.',
            'minItems' => sprintf('At least %s must be given%s.', $number($schema['minItems'] ?? 0), $about),
            'maxItems' => sprintf('At most %s can be given%s.', $number($schema['maxItems'] ?? 0), $about),
            'minLength', 'maxLength' => sprintf('It must be text of %s to %s characters%s.', $number($schema['minLength'] ?? 0), $number($schema['maxLength'] ?? 0), $about),
            'type' => trim("It must be $types".($range === '' ? '' : " $range")).$about.'.',
            default => 'It does not fit'.$about.'.',
        };
    }

    /** @return array<array-key, mixed> */
    private function described(ValidationError $error): array
    {
        $data = $error->schema()->info()->data();

        return is_object($data) ? (array) json_decode((string) json_encode($data), true) : [];
    }

    /** @param  array<int|string|null>  $path */
    private static function field(array $path): string
    {
        $field = '';
        foreach ($path as $step) {
            $field .= is_int($step) ? "[$step]" : ($field === '' ? (string) $step : ".$step");
        }

        return $field === '' ? '(input)' : $field;
    }
}
