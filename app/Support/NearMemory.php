<?php

declare(strict_types=1);

namespace App\Support;

/**
 * What was worked out once and is the same each time, in memory that all workers of
 * this server share (APCu). It may be gone at any moment and is worked out again then:
 * nothing is kept here that could be lost, and what a thing depends on stands in its key.
 */
final class NearMemory
{
    /** @var array<string, mixed> */
    private array $own = [];

    private function __construct(private readonly bool $shared, private readonly bool $remembers) {}

    /** Shared where this program is served; nothing is remembered by commands, which go over everything once. */
    public static function standard(): self
    {
        $shared = function_exists('apcu_enabled') && apcu_enabled();

        return new self($shared, $shared);
    }

    /** Of this process alone. */
    public static function own(): self
    {
        return new self(false, true);
    }

    public function remembers(): bool
    {
        return $this->remembers;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed> those that are there
     */
    public function fetch(array $keys): array
    {
        if (! $this->shared || $keys === []) {
            return array_intersect_key($this->own, array_flip($keys));
        }
        $found = apcu_fetch($keys);

        return is_array($found) ? $found : [];
    }

    /**
     * What is under the key, or else what the work gives, which lies there from then on.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function remember(string $key, int $seconds, callable $work): mixed
    {
        $found = $this->fetch([$key]);
        if (array_key_exists($key, $found)) {
            /** @var T */
            return $found[$key];
        }
        $this->put([$key => $new = $work()], $seconds);

        return $new;
    }

    /**
     * @param  array<string, mixed>  $values  by key
     * @param  int  $seconds  after which they are forgotten
     */
    public function put(array $values, int $seconds): void
    {
        if (! $this->remembers || $values === []) {
            return;
        }
        $this->shared ? apcu_store($values, null, $seconds) : $this->own = $values + $this->own;
    }
}
