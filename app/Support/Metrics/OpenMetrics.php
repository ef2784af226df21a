<?php

declare(strict_types=1);

namespace App\Support\Metrics;

/** Text in the OpenMetrics format, version 1.0 (openmetrics.io; IETF draft-richih-opsawg-openmetrics). */
final class OpenMetrics
{
    public const TYPE = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    /** @var list<string> */
    private array $lines = [];

    public function gauge(string $name, string $help, float|int|null $value, string $unit = ''): self
    {
        return $value === null ? $this : $this->family($name, 'gauge', $help, $unit)->sample($name, [], $value);
    }

    /** @param  array<string, string>  $labels */
    public function info(string $name, string $help, array $labels): self
    {
        return $this->family($name, 'info', $help)->sample("{$name}_info", $labels, 1);
    }

    /** @param  list<array{labels: array<string, string>, value: float}>  $counted */
    public function counter(string $name, string $help, array $counted): self
    {
        $this->family($name, 'counter', $help);
        foreach ($counted as ['labels' => $labels, 'value' => $value]) {
            $this->sample("{$name}_total", $labels, $value);
        }

        return $this;
    }

    /**
     * @param  list<array{labels: array<string, string>, value: float}>  $buckets  each with what fell between the limit before and its own
     * @param  list<array{labels: array<string, string>, value: float}>  $counts
     * @param  list<array{labels: array<string, string>, value: float}>  $sums
     */
    public function histogram(string $name, string $help, array $buckets, array $counts, array $sums): self
    {
        $this->family($name, 'histogram', $help, 'seconds');
        foreach ($counts as ['labels' => $labels, 'value' => $count]) {
            $below = 0.0;
            foreach (Counts::LIMITS as $limit) {
                foreach ($buckets as $bucket) {
                    $below += $bucket['labels'] == $labels + ['le' => (string) $limit] ? $bucket['value'] : 0.0;
                }
                $this->sample("{$name}_bucket", $labels + ['le' => number_format($limit, 3, '.', '')], $below);
            }
            $this->sample("{$name}_bucket", $labels + ['le' => '+Inf'], $count);
            $this->sample("{$name}_count", $labels, $count);
            foreach ($sums as $sum) {
                $sum['labels'] == $labels && $this->sample("{$name}_sum", $labels, $sum['value']);
            }
        }

        return $this;
    }

    public function text(): string
    {
        return implode("\n", [...$this->lines, '# EOF'])."\n";
    }

    private function family(string $name, string $type, string $help, string $unit = ''): self
    {
        $this->lines[] = "# TYPE $name $type";
        $unit === '' || $this->lines[] = "# UNIT $name $unit";
        $this->lines[] = "# HELP $name ".self::escaped($help);

        return $this;
    }

    /** @param  array<string, string>  $labels */
    private function sample(string $name, array $labels, float|int $value): self
    {
        $said = implode(',', array_map(fn (string $l, string $v): string => "$l=\"".self::escaped($v).'"', array_keys($labels), $labels));
        $this->lines[] = $name.($said === '' ? '' : '{'.$said.'}').' '.rtrim(rtrim(sprintf('%.6F', $value), '0'), '.');

        return $this;
    }

    private static function escaped(string $text): string
    {
        return strtr($text, ['\\' => '\\\\', '"' => '\\"', "\n" => '\\n']);
    }
}
