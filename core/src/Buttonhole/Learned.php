<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/**
 * What a machine's own buttonholes say of it: how much longer they get than
 * they are set, and how long its bars are. Medians of the last five, so that one
 * slip does not move them; nothing is believed before there are two.
 */
final readonly class Learned
{
    /** So many of the last are looked at. */
    public const LAST = 5;

    /** From so many on they are believed. */
    public const LEAST = 2;

    /** The median of a normal sample is so much less sure than its mean: the root of half pi. */
    private const OF_A_MEDIAN = 1.2533;

    private function __construct(
        /** [mm] Finished less set; 0 until there are two. */
        public float $offsetMm,
        /** [mm] Standard uncertainty of that; null until there are two. */
        public ?float $offsetUncertaintyMm,
        public float $barMm,
        public ?float $barUncertaintyMm,
        /** Of all that were looked at. */
        public int $sewn,
        public int $good,
    ) {}

    /** @param  list<SewnHole>  $holes  of this machine and way, oldest first */
    public static function of(array $holes): self
    {
        $offsets = array_slice(self::known(array_map(fn (SewnHole $h): ?float => $h->finishedMm === null ? null : $h->finishedMm - $h->setMm, $holes)), -self::LAST);
        $bars = array_slice(self::known(array_map(fn (SewnHole $h): ?float => $h->barMm, $holes)), -self::LAST);
        $enough = fn (array $of): bool => count($of) >= self::LEAST;

        return new self(
            $enough($offsets) ? self::median($offsets) : 0.0, $enough($offsets) ? self::uncertainty($offsets) : null,
            $enough($bars) ? self::median($bars) : Sizing::BAR_MM, $enough($bars) ? self::uncertainty($bars) : null,
            count($holes), count(array_filter($holes, fn (SewnHole $h): bool => $h->met)),
        );
    }

    /** How likely the next one on it is met: from what came before, begun with one of two. */
    public function success(): float
    {
        return ($this->good + 1) / ($this->sewn + 2);
    }

    /**
     * @param  list<float|null>  $values
     * @return list<float>
     */
    private static function known(array $values): array
    {
        return array_values(array_filter($values, fn (?float $v): bool => $v !== null));
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2;
    }

    /** @param  list<float>  $values */
    private static function uncertainty(array $values): float
    {
        $mean = array_sum($values) / count($values);
        $squares = array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $values));

        return self::OF_A_MEDIAN * sqrt($squares / (count($values) - 1) / count($values));
    }
}
