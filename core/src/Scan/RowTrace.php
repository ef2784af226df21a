<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A row followed from one end of a strip to the other: the way that has most thread on it and does not jump. */
final readonly class RowTrace
{
    /** Places along the row that are taken together: a stitch, about, 2 mm. */
    public const BAND = 20;

    /** Steps across it may stray from one band to the next. */
    private const STRAY = 4;

    /** What a step of straying costs, in deviations of a band. */
    private const COST = 0.5;

    /** How much more thread than elsewhere lies on it, in deviations of a band. */
    private const STANDS_OUT = 4.0;

    private const STRONG = 2.2;

    /** Of the bands between its ends. */
    private const MOSTLY = 0.75;

    /** Of the strip. */
    private const LEAST = 0.4;

    /** As near to it as that lies the same row, steps. */
    private const SAME = 9;

    /** A second way that is so strong beside it could be it as well. */
    private const AS_GOOD = 0.55;

    /** @param  array<int, float>  $away  steps across by band, where it is seen */
    private function __construct(public array $away) {}

    /** @param  array<int, float>  $away  steps across by band */
    public static function of(array $away): self
    {
        return new self($away);
    }

    /** @param  float  $about  steps across where it should be */
    public static function find(RowStrip $strip, float $about): self|CannotRead
    {
        $bands = self::bands($strip);
        $noise = self::noise($bands);
        $way = self::best($bands, $noise, []);
        if (self::height($bands, $way) < self::STANDS_OUT * $noise) {
            return CannotRead::NoRow;
        }
        $other = self::best($bands, $noise, $way);
        if ($other !== [] && self::height($bands, $other) > max(self::STANDS_OUT * $noise, self::AS_GOOD * self::height($bands, $way))) {
            $far = fn (array $of): float => abs(array_sum($of) / count($of) - $about);
            [$near, $off] = $far($way) <= $far($other) ? [$way, $other] : [$other, $way];
            // One lies where it should and the other clearly does not.
            if ($far($near) > 12 || $far($off) < $far($near) + 18) {
                return CannotRead::WhichLine;
            }
            $way = $near;
        }
        $away = [];
        foreach ($way as $b => $j) {
            if ($bands[$b][$j] < self::STRONG * $noise) {
                continue;
            }
            [$weight, $sum] = [0.0, 0.0];
            for ($k = $j - 4; $k <= $j + 4; $k++) {
                $here = max(0.0, $bands[$b][$k] ?? 0.0);
                [$weight, $sum] = [$weight + $here, $sum + $here * $k];
            }
            $away[$b] = $sum / max(1e-9, $weight);
        }
        $away = self::smooth($away);
        if (count($away) < self::LEAST * count($bands) || count($away) < self::MOSTLY * ((int) array_key_last($away) - (int) array_key_first($away) + 1)) {
            return CannotRead::NoRow;
        }

        return new self($away);
    }

    /** Where it is so far along, in steps; between two bands on the line from one to the other, beyond its ends as at them. */
    public function at(float $along): float
    {
        $b = $along / self::BAND - 0.5;
        $before = $after = null;
        foreach ($this->away as $k => $v) {
            if ($k <= $b) {
                $before = [$k, $v];
            } else {
                $after = [$k, $v];
                break;
            }
        }
        if ($before === null || $after === null) {
            return ($before ?? $after)[1] ?? 0.0;
        }

        return $before[1] + ($after[1] - $before[1]) * ($b - $before[0]) / ($after[0] - $before[0]);
    }

    /**
     * Where it is about a place, and how sure that is by how far its bands part.
     *
     * @param  float  $along  steps
     * @param  float  $reach  steps on both sides of that
     * @return array{float, float}|null steps across, and the standard uncertainty of their mean; null where it is hardly seen
     */
    public function about(float $along, float $reach): ?array
    {
        $near = array_values(array_filter($this->away, fn (int $b): bool => abs(($b + 0.5) * self::BAND - $along) <= $reach, ARRAY_FILTER_USE_KEY));
        $n = count($near);
        if ($n < 2) {
            return null;
        }
        $mean = array_sum($near) / $n;

        return [$mean, sqrt(array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $near)) / ($n - 1) / $n)];
    }

    /** @return list<list<float>> thread at each place across, by band */
    private static function bands(RowStrip $strip): array
    {
        $bands = [];
        for ($i = 0; $i + self::BAND <= count($strip->thread); $i += self::BAND) {
            $sum = array_fill(0, count($strip->thread[0]), 0.0);
            for ($k = $i; $k < $i + self::BAND; $k++) {
                foreach ($strip->thread[$k] as $j => $s) {
                    $sum[$j] += $s;
                }
            }
            $bands[] = Signal::smoothed(array_map(fn (float $s): float => $s / self::BAND, array_values($sum)), 1);
        }

        return $bands;
    }

    /** @param  list<list<float>>  $bands */
    private static function noise(array $bands): float
    {
        $all = array_map(abs(...), array_merge(...$bands));
        sort($all);

        return max(0.15, 1.48 * ($all[intdiv(count($all), 2)] ?? 0.0));
    }

    /**
     * The best way by dynamic programming (Viterbi, 1967).
     *
     * @param  list<list<float>>  $bands
     * @param  array<int, int>  $but  not near this one
     * @return array<int, int> place across by band
     */
    private static function best(array $bands, float $noise, array $but): array
    {
        $lanes = count($bands[0] ?? []);
        $sums = $from = [];
        foreach ($bands as $b => $band) {
            foreach ($band as $j => $value) {
                $value = isset($but[$b]) && abs($but[$b] - $j) <= self::SAME ? -10 * $noise : $value;
                $top = $b === 0 ? [0.0, $j] : [-INF, $j];
                for ($k = max(0, $j - self::STRAY); $b > 0 && $k <= min($lanes - 1, $j + self::STRAY); $k++) {
                    $sum = $sums[$k] - self::COST * $noise * abs($k - $j);
                    $top = $sum > $top[0] ? [$sum, $k] : $top;
                }
                $next[$j] = $top[0] + $value;
                $from[$b][$j] = $top[1];
            }
            $sums = $next ?? [];
        }
        if ($sums === []) {
            return [];
        }
        arsort($sums);
        $j = (int) array_key_first($sums);
        $way = [];
        for ($b = count($bands) - 1; $b >= 0; $b--) {
            $way[$b] = $j;
            $j = $from[$b][$j];
        }
        ksort($way);

        return $way;
    }

    /**
     * Of the better half of its bands: it may be shorter than the strip.
     *
     * @param  list<list<float>>  $bands
     * @param  array<int, int>  $way
     */
    private static function height(array $bands, array $way): float
    {
        $on = [];
        foreach ($way as $b => $j) {
            $on[] = $bands[$b][$j];
        }
        rsort($on);
        $half = array_slice($on, 0, max(1, intdiv(count($on) + 1, 2)));

        return $half === [] ? 0.0 : array_sum($half) / count($half);
    }

    /**
     * Places that jump away from their neighbours were dirt, not thread.
     *
     * @param  array<int, float>  $away
     * @return array<int, float>
     */
    private static function smooth(array $away): array
    {
        return array_filter($away, function (float $v, int $b) use ($away): bool {
            $near = array_filter([$away[$b - 2] ?? null, $away[$b - 1] ?? null, $away[$b + 1] ?? null, $away[$b + 2] ?? null], fn (?float $n): bool => $n !== null);
            sort($near);

            return $near !== [] && abs($v - $near[intdiv(count($near), 2)]) < 8.0;
        }, ARRAY_FILTER_USE_BOTH);
    }
}
