<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * The cloth along a row, laid straight: how much each place is thread. What changes slowly across the row is light, what
 * goes across it is a stripe of the cloth: both are taken away, then the colour is looked for that a narrow line has.
 */
final readonly class RowStrip
{
    /** Apart, along and across, mm. */
    public const STEP_MM = 0.1;

    /** Close to its own edge the cloth is not looked at, mm. */
    private const FREE_MM = 0.9;

    /** Cloth about a place, on both sides across the row, mm. */
    private const ABOUT_MM = 1.6;

    /** A colour is told from pieces of so much of the row: further on it may have wandered, mm. */
    private const PIECE_MM = 12.0;

    /** Places: of less no row is told. */
    private const FEWEST_ACROSS = 15;

    private const FEWEST_ALONG = 60;

    /**
     * @param  list<list<float>>  $thread  across, at each place along: shades towards the colour of the thread
     * @param  float  $from  of the first place across, mm from the edge
     * @param  float  $noise  deviation where there is cloth only
     * @param  float  $start  of the first place along, mm from the beginning of the edge
     * @param  list<float>  $ground  shade of all the cloth across, at each place along: the stripes that the row crosses
     * @param  bool  $isLight  it is lighter than the cloth
     */
    private function __construct(public array $thread, public float $from, public float $noise, public array $ground, public float $start, public bool $isLight) {}

    /**
     * @param  float  $reach  across, on both sides of where it should be, mm
     * @param  array{float, float}|null  $between  along, mm; null: the whole edge
     */
    public static function of(FoundPiece $piece, string $side, float $about, float $reach, bool $isLine, ?array $between = null): ?self
    {
        $from = max(self::FREE_MM, $about - $reach);
        $to = min($piece->deep($side) - self::FREE_MM, $about + $reach);
        $across = (int) floor(($to - $from) / self::STEP_MM) + 1;
        $start = max(0.0, $between[0] ?? 0.0);
        $along = (int) floor((min($piece->long($side), $between[1] ?? INF) - $start) / self::STEP_MM);
        if ($across < self::FEWEST_ACROSS || $along < self::FEWEST_ALONG) {
            return null;
        }

        return self::laid($piece, $side, fn (float $along): float => $from, 1, $across, $start, $along, $isLine);
    }

    /**
     * The cloth beside a row that was followed: from there on, away from its edge or towards it.
     *
     * @param  array{float, float}  $between  across, mm from the row; below 0 towards its edge
     */
    public static function beside(FoundPiece $piece, string $side, FollowedRow $row, array $between): ?self
    {
        [$start, $end] = $row->ends();
        $towards = $between[1] <=> $between[0];
        $middle = $row->at(($start + $end) / 2);
        $room = $towards > 0 ? $piece->deep($side) - $middle : $middle;
        $across = (int) floor((min(abs($between[1]), $room - self::FREE_MM) - abs($between[0])) / self::STEP_MM) + 1;
        $along = (int) floor(($end - $start) / self::STEP_MM);

        return $across < self::FEWEST_ACROSS || $along < self::FEWEST_ALONG ? null
            : self::laid($piece, $side, fn (float $along): float => $row->at($along) + $between[0], $towards, $across, $start, $along, true);
    }

    /**
     * @param  callable(float): float  $from  mm from the edge, so far along it
     * @param  int  $towards  1 away from the edge, −1 towards it
     */
    private static function laid(FoundPiece $piece, string $side, callable $from, int $towards, int $across, float $start, int $along, bool $isLine): ?self
    {
        [$o, $u, $v] = [$piece->place($side, 0.0, 0.0), $piece->place($side, 1.0, 0.0), $piece->place($side, 0.0, 1.0)];
        $u = [$u[0] - $o[0], $u[1] - $o[1]];
        $v = [$v[0] - $o[0], $v[1] - $o[1]];
        $rest = $ground = [];
        $half = (int) round(self::ABOUT_MM / self::STEP_MM);
        for ($i = 0; $i < $along; $i++) {
            $t = $start + ($i + 0.5) * self::STEP_MM;
            $in = $from($t);
            $seen = $piece->picture->line($o[0] + $t * $u[0] + $in * $v[0], $o[1] + $t * $u[1] + $in * $v[1], $towards * self::STEP_MM * $v[0], $towards * self::STEP_MM * $v[1], $across);
            [$a, $b, $c] = [[], [], []];
            foreach ($seen as $shade) {
                [$a[], $b[], $c[]] = $shade ?? [0.0, 0.0, 0.0];
            }
            // The one in the middle: the thread itself is few of them.
            $shades = array_map(fn (float $x, float $y, float $z): float => $x + $y + $z, $a, $b, $c);
            sort($shades);
            $ground[] = $shades[intdiv($across, 2)];
            $rest[] = $isLine ? [self::less($a, $half), self::less($b, $half), self::less($c, $half)] : [self::lessMean($a), self::lessMean($b), self::lessMean($c)];
        }
        $axis = self::colour($rest, $across);
        if ($axis === null) {
            return null;
        }
        $thread = array_map(fn (array $r): array => array_map(fn (float $a, float $b, float $c): float => $a * $axis[0] + $b * $axis[1] + $c * $axis[2], $r[0], $r[1], $r[2]), $rest);

        return new self($thread, $from($start), self::spread($thread), $ground, $start, array_sum($axis) > 0.0);
    }

    /**
     * @param  list<float>  $shades
     * @return list<float>
     */
    private static function less(array $shades, int $half): array
    {
        return array_map(fn (float $s, float $m): float => $s - $m, $shades, Signal::smoothed($shades, $half));
    }

    /**
     * @param  list<float>  $shades
     * @return list<float>
     */
    private static function lessMean(array $shades): array
    {
        $sorted = $shades;
        sort($sorted);
        $middle = $sorted[intdiv(count($sorted), 2)];

        return array_map(fn (float $s): float => $s - $middle, $shades);
    }

    /**
     * The colour by which a narrow line differs from the cloth about it: that of the strongest lane of each piece of the row.
     *
     * @param  list<array{list<float>, list<float>, list<float>}>  $rest
     * @return array{float, float, float}|null of length one
     */
    private static function colour(array $rest, int $across): ?array
    {
        $long = (int) round(self::PIECE_MM / self::STEP_MM);
        $sum = [0.0, 0.0, 0.0];
        for ($p = 0; $p + intdiv($long, 2) < count($rest); $p += $long) {
            $part = array_slice($rest, $p, $long);
            $lanes = [];
            foreach ([0, 1, 2] as $c) {
                $lane = array_fill(0, $across, 0.0);
                foreach ($part as $r) {
                    foreach ($r[$c] as $j => $s) {
                        $lane[$j] += $s;
                    }
                }
                $lanes[$c] = Signal::smoothed(array_values($lane), 2);
            }
            $best = [0.0, 0];
            for ($j = 3; $j < $across - 3; $j++) {
                $size = $lanes[0][$j] ** 2 + $lanes[1][$j] ** 2 + $lanes[2][$j] ** 2;
                $best = $size > $best[0] ? [$size, $j] : $best;
            }
            $found = [$lanes[0][$best[1]], $lanes[1][$best[1]], $lanes[2][$best[1]]];
            // Lighter in one piece and darker in another is not one thread: they cancel.
            $sum = [$sum[0] + $found[0], $sum[1] + $found[1], $sum[2] + $found[2]];
        }
        $size = sqrt($sum[0] ** 2 + $sum[1] ** 2 + $sum[2] ** 2);

        return $size < 1e-6 ? null : [$sum[0] / $size, $sum[1] / $size, $sum[2] / $size];
    }

    /**
     * @param  list<list<float>>  $thread
     */
    private static function spread(array $thread): float
    {
        $some = [];
        foreach ($thread as $i => $across) {
            if ($i % 7 === 0) {
                foreach ($across as $j => $s) {
                    $j % 3 === 0 && $some[] = abs($s);
                }
            }
        }
        sort($some);

        return max(0.3, 1.48 * ($some[intdiv(count($some), 2)] ?? 0.0));
    }
}
