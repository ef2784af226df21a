<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Near;

/**
 * The class time that repeats take, laid on the lessons they belong to, so that a plan has room for as many
 * samples as its class will need: the same reckoning as SampleRoom, turned round.
 */
final readonly class RepeatMinutes
{
    /**
     * @param  array<string, float>  $beside  minutes of repeats beside each lesson
     * @param  float  $over  minutes that fit beside none: sessions of their own
     */
    private function __construct(public array $beside, public float $over) {}

    /** Sessions of nothing but repeats that the rest takes. */
    public function sessions(float $usable): int
    {
        return $usable > 0 ? (int) ceil($this->over / $usable - Near::DUST) : 0;
    }

    /**
     * @param  array<string, float>  $minutes  of each lesson for the class, one sample each
     * @param  array<string, float>  $more  minutes of one more sample without the demo, likewise
     * @param  array<string, float>  $expected  samples a student is expected to sew of each; what is above 1 are repeats
     * @param  float  $samples  that a student needs altogether, those of each lesson once among them
     * @param  float  $longest  usable minutes of the longest session: what does not fit beside its own lesson is sewn beside the others
     */
    public static function of(array $minutes, array $more, array $expected, float $samples, float $longest): self
    {
        $repeats = array_fill_keys(array_keys($minutes), 0.0);
        $one = max(1.0, array_sum($more) / max(1, count($more)));
        $left = max(0.0, $samples - count($minutes)) * $one;
        $room = array_map(fn (float $m): float => max(0.0, $longest - $m), $minutes);
        $weights = array_map(fn (string $id): float => max(0.0, ($expected[$id] ?? 1.0) - 1.0) + Near::SPOT_MM, array_combine(array_keys($minutes), array_map(strval(...), array_keys($minutes))));
        // What is full takes no more: the rest is shared out among the others.
        while ($left > Near::DUST) {
            $open = array_filter($weights, fn (string|int $id): bool => $room[$id] > Near::DUST, ARRAY_FILTER_USE_KEY);
            $sum = array_sum($open);
            if ($open === []) {
                break;
            }
            $given = 0.0;
            foreach ($open as $id => $weight) {
                $part = min($room[$id], $left * $weight / $sum);
                $repeats[$id] += $part;
                $room[$id] -= $part;
                $given += $part;
            }
            $left -= $given;
            if ($given < Near::DUST) {
                break;
            }
        }

        return new self($repeats, $left < Near::SPOT_MM ? 0.0 : $left);
    }
}
