<?php

declare(strict_types=1);

namespace App\Support\Metrics;

/**
 * Counts of this server since its PHP was started, in memory that all its workers
 * share (APCu); nothing is written and nothing of a person is in them. Where that
 * memory is missing nothing is counted.
 */
final class Counts
{
    private const PREFIX = 'open-seam/';

    /** What requests took is told by these limits, s. */
    public const LIMITS = [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1.0, 2.5, 5.0, 10.0];

    /** Kept in whole microseconds: shared memory adds whole numbers only. */
    private const MICRO = 1_000_000;

    public static function areKept(): bool
    {
        return function_exists('apcu_enabled') && apcu_enabled();
    }

    /** @param  array<string, string>  $labels */
    public static function add(string $name, array $labels = [], int $by = 1): void
    {
        self::areKept() && apcu_inc(self::key($name, $labels), $by);
    }

    /**
     * Something took so long.
     *
     * @param  array<string, string>  $labels
     */
    public static function took(string $name, float $seconds, array $labels = []): void
    {
        if (! self::areKept()) {
            return;
        }
        foreach (self::LIMITS as $limit) {
            if ($seconds <= $limit) {
                self::add("{$name}_bucket", $labels + ['le' => (string) $limit]);
                break;
            }
        }
        self::add("{$name}_count", $labels);
        self::add("{$name}_sum", $labels, (int) round($seconds * self::MICRO));
    }

    /**
     * All that was counted.
     *
     * @return array<string, list<array{labels: array<string, string>, value: float}>> by name
     */
    public static function all(): array
    {
        $all = [];
        if (! self::areKept()) {
            return $all;
        }
        foreach (new \APCUIterator('#^'.preg_quote(self::PREFIX, '#').'#', APC_ITER_KEY | APC_ITER_VALUE) as $entry) {
            if (! is_array($entry) || ! is_string($entry['key'] ?? null) || ! is_int($entry['value'] ?? null)) {
                continue;
            }
            [$name, $labels] = explode('?', substr($entry['key'], strlen(self::PREFIX)), 2) + [1 => ''];
            parse_str($labels, $read);
            $all[$name][] = ['labels' => array_map(fn (mixed $v): string => is_string($v) ? $v : '', array_combine(array_map(strval(...), array_keys($read)), $read)), 'value' => str_ends_with($name, '_sum') ? $entry['value'] / self::MICRO : (float) $entry['value']];
        }
        ksort($all);

        return $all;
    }

    /** @param  array<string, string>  $labels */
    private static function key(string $name, array $labels): string
    {
        return self::PREFIX.$name.'?'.http_build_query($labels);
    }
}
