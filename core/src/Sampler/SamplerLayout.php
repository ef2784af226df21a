<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\RowStitches;
use OpenSeam\Core\Stitch\SewingTime;
use OpenSeam\Core\Stitch\ThreadUse;

/**
 * A sampler's rows as they will be sewn: stitches, thread and minutes of each,
 * and which rows lie on each other.
 *
 * @phpstan-type RowFigures array{stitches: int, row_mm: float, thread_mm: float, minutes: float}
 */
final readonly class SamplerLayout
{
    /** Rows closer than this sew into each other. */
    public const CLASH_MM = 1.0;

    private const SQUARE_MM = 5.0;

    /** One layer of sampler cloth; common practice, no source. */
    public const LAYER_MM = 0.35;

    /** A machine of the room at full speed, strokes a minute; common practice, no source. */
    private const STROKES = 800.0;

    /**
     * @param  array<string, RowFigures>  $rows  by row; rows without a path are left out
     * @param  array<string, array<string, list<array{float, float}>>>  $points  by piece and row
     */
    private function __construct(public array $rows, private array $points) {}

    public static function of(Sampler $sampler): self
    {
        $rows = [];
        $points = [];
        foreach ($sampler->rows as $row) {
            if ($row->path === null || $row->piece === null) {
                continue;
            }
            $at = RowStitches::on($row->path, $row->stitch);
            // Turns at corners cost time; a smooth curve has none.
            $turns = $row->path->smooth ? 0 : count($row->path->corners) - 2;
            $back = 2 * $row->backStitches;
            $layers = $sampler->pieces[$row->piece]->layers;
            $row->stitch->kind->generator === 'button' || $points[$row->piece][$row->id] = $at;
            $rows[$row->id] = [
                'stitches' => count($at) - 1 + $back,
                'row_mm' => $row->path->lengthMm(),
                'thread_mm' => ThreadUse::ofPoints($at, $layers * self::LAYER_MM, max(1.0, NeedlePoints::pathMm($at)))->topMm + $back * ($row->stitch->lengthMm + $layers * self::LAYER_MM),
                'minutes' => SewingTime::minutes(count($at) - 1 + $back, self::STROKES, SewingTime::BEGINNER_PACE, max(0, $turns)),
            ];
        }

        return new self($rows, $points);
    }

    /** @return list<array{string, string}> pairs of rows nearer than 1 mm somewhere */
    public function touching(): array
    {
        $pairs = [];
        foreach ($this->points as $rows) {
            $ids = array_keys($rows);
            foreach ($ids as $i => $a) {
                foreach (array_slice($ids, $i + 1) as $b) {
                    if (self::near($rows[$a], $rows[$b])) {
                        $pairs[] = [(string) $a, (string) $b];
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * Some stitch of one row comes nearer than 1 mm to some stitch of the other.
     *
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     */
    private static function near(array $a, array $b): bool
    {
        // Only stitches in the same squares of the cloth can be near each other.
        $squares = [];
        for ($k = 1; $k < count($b); $k++) {
            foreach (self::squares($b[$k - 1], $b[$k], self::CLASH_MM) as $square) {
                $squares[$square][] = $k;
            }
        }
        for ($i = 1; $i < count($a); $i++) {
            foreach (self::squares($a[$i - 1], $a[$i], 0.0) as $square) {
                foreach ($squares[$square] ?? [] as $k) {
                    if (self::distance($a[$i - 1], $a[$i], $b[$k - 1], $b[$k]) < self::CLASH_MM) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * Squares that a stitch lies in, with this much around it.
     *
     * @param  array{float, float}  $p
     * @param  array{float, float}  $q
     * @return list<string>
     */
    private static function squares(array $p, array $q, float $around): array
    {
        $squares = [];
        $range = fn (int $i): array => range((int) floor((min($p[$i], $q[$i]) - $around) / self::SQUARE_MM), (int) floor((max($p[$i], $q[$i]) + $around) / self::SQUARE_MM));
        foreach ($range(0) as $x) {
            foreach ($range(1) as $y) {
                $squares[] = "$x/$y";
            }
        }

        return $squares;
    }

    /**
     * Least distance of two stitches.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function distance(array $a, array $b, array $c, array $d): float
    {
        if (self::side($a, $b, $c) * self::side($a, $b, $d) < 0 && self::side($c, $d, $a) * self::side($c, $d, $b) < 0) {
            return 0.0;
        }

        return min(self::toStitch($a, $c, $d), self::toStitch($b, $c, $d), self::toStitch($c, $a, $b), self::toStitch($d, $a, $b));
    }

    /**
     * Above 0 on one side of the stitch from p to q, below 0 on the other.
     *
     * @param  array{float, float}  $p
     * @param  array{float, float}  $q
     * @param  array{float, float}  $r
     */
    private static function side(array $p, array $q, array $r): float
    {
        return ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);
    }

    /**
     * @param  array{float, float}  $p
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function toStitch(array $p, array $a, array $b): float
    {
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $square = $dx ** 2 + $dy ** 2;
        $share = $square > 0 ? max(0.0, min(1.0, (($p[0] - $a[0]) * $dx + ($p[1] - $a[1]) * $dy) / $square)) : 0.0;

        return hypot($p[0] - $a[0] - $share * $dx, $p[1] - $a[1] - $share * $dy);
    }
}
