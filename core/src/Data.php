<?php

declare(strict_types=1);

namespace OpenSeam\Core;

use OpenSeam\Core\Measure\SaidLength;
use OpenSeam\Core\Measure\Unit;

/**
 * Decoded JSON read by name and type. Every miss is an InputError that names
 * the whole path, such as "lessons[3].minutes".
 */
final readonly class Data
{
    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $path, private ?Unit $said = null) {}

    /** @param  array<array-key, mixed>  $values */
    public static function of(array $values, string $path = ''): self
    {
        return new self($values, $path);
    }

    /** The words of a curriculum, with the lengths within them said in a unit. */
    public function saidIn(Unit $unit): self
    {
        return new self($this->values, $this->path, $unit);
    }

    /** That lengths within its words are said in. */
    public function unit(): Unit
    {
        return $this->said ?? Unit::Millimetre;
    }

    public function path(string $name): string
    {
        return $this->path === '' ? $name : $this->path.'.'.$name;
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    /** @throws InputError when missing or not text */
    public function text(string $name, ?string $default = null): string
    {
        $value = $this->values[$name] ?? $default;

        return is_string($value) ? $this->said($value) : throw $this->miss($name, 'text');
    }

    /** @throws InputError when missing or not a number */
    public function number(string $name, ?float $default = null): float
    {
        $value = $this->values[$name] ?? $default;

        return is_int($value) || is_float($value) ? (float) $value : throw $this->miss($name, 'a number');
    }

    /** @throws InputError when it is there and not a number */
    public function numberOrNull(string $name): ?float
    {
        return isset($this->values[$name]) ? $this->number($name) : null;
    }

    /** @throws InputError when missing or not a whole number */
    /** @throws InputError when it is outside */
    public function numberWithin(string $name, ?float $default, float $min, float $max, string $unit = 'mm'): float
    {
        $value = $this->number($name, $default);

        return is_finite($value) && $value >= $min && $value <= $max ? $value : throw InputError::at($this->path($name), $value, sprintf('It must be from %g to %g %s.', $min, $max, $unit));
    }

    /**
     * @param  list<string>  $allowed
     *
     * @throws InputError when it is none of them
     */
    public function among(string $name, array $allowed, string $default): string
    {
        $value = $this->text($name, $default);

        return in_array($value, $allowed, true) ? $value : throw InputError::at($this->path($name), $value, 'It must be one of: '.implode(', ', array_filter($allowed)).'.');
    }

    /** Null: nobody has looked yet. */
    public function flagOrNull(string $name): ?bool
    {
        return $this->has($name) ? $this->flag($name) : null;
    }

    public function whole(string $name, ?int $default = null): int
    {
        $value = $this->values[$name] ?? $default;

        return is_int($value) || (is_float($value) && floor($value) === $value) ? (int) $value : throw $this->miss($name, 'a whole number');
    }

    /** @throws InputError when it is there and neither true nor false */
    public function flag(string $name, bool $default = false): bool
    {
        $value = $this->values[$name] ?? $default;

        return is_bool($value) ? $value : throw $this->miss($name, 'true or false');
    }

    /** @throws InputError when it is there and not an object */
    public function part(string $name): self
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) ? new self($value, $this->path($name), $this->said) : throw $this->miss($name, 'an object');
    }

    /**
     * @return list<self>
     *
     * @throws InputError when it is there and not a list of objects
     */
    public function parts(string $name): array
    {
        $parts = [];
        foreach ($this->items($name) as $i => $item) {
            $parts[] = is_array($item)
                ? new self($item, $this->path($name)."[$i]", $this->said)
                : throw InputError::at($this->path($name)."[$i]", $item, 'An object is expected here.');
        }

        return $parts;
    }

    /**
     * @return list<string>
     *
     * @throws InputError when it is there and not a list of texts
     */
    public function texts(string $name): array
    {
        return array_map(fn (mixed $v): string => is_string($v) ? $this->said($v) : throw $this->miss($name, 'a list of texts'), $this->items($name));
    }

    /**
     * @return list<float>
     *
     * @throws InputError when it is there and not a list of numbers
     */
    public function numbers(string $name): array
    {
        return array_map(fn (mixed $v): float => is_int($v) || is_float($v) ? (float) $v : throw $this->miss($name, 'a list of numbers'), $this->items($name));
    }

    /**
     * @return list<mixed>
     *
     * @throws InputError when it is there and not a list
     */
    public function items(string $name): array
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) && array_is_list($value) ? $value : throw $this->miss($name, 'a list');
    }

    /** @return array<array-key, mixed> */
    public function raw(): array
    {
        return $this->values;
    }

    private function said(string $text): string
    {
        return $this->said === null ? $text : SaidLength::in($text, $this->said);
    }

    private function miss(string $name, string $expected): InputError
    {
        return InputError::at($this->path($name), $this->values[$name] ?? null, "This must be $expected.");
    }
}
