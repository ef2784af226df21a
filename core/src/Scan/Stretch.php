<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/** A straight part of a planned row that runs level with an edge of its piece; places in mm from the piece’s upper left corner. */
final readonly class Stretch
{
    /** Level with an edge but for so much, mm. */
    private const LEVEL_MM = 0.5;

    private const SHORTEST_MM = 8.0;

    /** A place so near to it is meant to lie on it, mm. */
    private const ON_MM = 1.0;

    /** Rows side by side are looked for so far apart at most: as a part of the way to the next one. */
    private const HALF = 0.5;

    /** A row may be sewn so far beside where it should be, mm, where nothing lies near it. */
    private const ASTRAY_MM = 6.0;

    private const LEAST_MM = 1.6;

    /**
     * @param  int  $part  of its row, from 0
     * @param  string  $side  left, right, top or bottom: the edge it is measured from
     * @param  float  $at  from the left, or from the top
     * @param  float  $about  from that edge
     * @param  float  $from  along it
     * @param  float  $to  along it
     */
    private function __construct(public Row $row, public int $part, public string $side, public float $at, public float $about, public float $from, public float $to) {}

    /** @return list<self> all that are sewn on a piece */
    public static function of(Sampler $sampler, Piece $piece): array
    {
        $found = [];
        foreach ($sampler->rows as $row) {
            $corners = $row->piece !== $piece->id || $row->path === null || $row->path->smooth ? [] : $row->path->corners;
            for ($i = 1; $i < count($corners); $i++) {
                $part = self::part($row, $i - 1, $corners[$i - 1], $corners[$i], $piece);
                $part === null || $found[] = $part;
            }
        }

        return $found;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function part(Row $row, int $i, array $a, array $b, Piece $piece): ?self
    {
        $edge = $row->run?->allowanceMm();
        $upright = abs($a[0] - $b[0]) < self::LEVEL_MM;
        [$at, $from, $to, $deep] = $upright ? [$a[0], min($a[1], $b[1]), max($a[1], $b[1]), $piece->widthMm] : [$a[1], min($a[0], $b[0]), max($a[0], $b[0]), $piece->heightMm];
        if ($to - $from < self::SHORTEST_MM || (! $upright && abs($a[1] - $b[1]) >= self::LEVEL_MM)) {
            return null;
        }
        $far = $upright && $edge !== null ? abs($deep - $at - $edge) < 0.01 : $at > $deep / 2;

        return new self($row, $i, $upright ? ($far ? 'right' : 'left') : ($far ? 'bottom' : 'top'), $at, $far ? $deep - $at : $at, $from, $to);
    }

    public function isUpright(): bool
    {
        return $this->side === 'left' || $this->side === 'right';
    }

    /** @return array{float, float} the way towards its edge */
    public function outwards(): array
    {
        return match ($this->side) {
            'left' => [-1.0, 0.0], 'right' => [1.0, 0.0], 'top' => [0.0, -1.0], default => [0.0, 1.0]
        };
    }

    /**
     * Whether a planned place lies on it, seen along a line that crosses it.
     *
     * @param  array{float, float}  $place
     */
    public function has(array $place, bool $upright): bool
    {
        [$across, $along] = $this->isUpright() ? $place : [$place[1], $place[0]];

        return $upright === $this->isUpright() && abs($across - $this->at) <= self::ON_MM && $along >= $this->from && $along <= $this->to;
    }

    /**
     * Whether a planned place lies on the edge it is measured from.
     *
     * @param  array{float, float}  $place
     */
    public function isOnEdge(array $place, Piece $piece): bool
    {
        $away = match ($this->side) {
            'left' => $place[0], 'top' => $place[1], 'right' => $piece->widthMm - $place[0], default => $piece->heightMm - $place[1]
        };

        return abs($away) <= self::ON_MM;
    }

    /** Whether a picture tells its stitches: forward and nothing else, or a plain zigzag. */
    public function isPlain(): bool
    {
        $kind = $this->row->stitch->kind;

        return $this->isZigzag() || ($kind->generator === 'pattern' && array_filter($kind->strokes, fn (array $stroke): bool => $stroke[0] <= 0.0 || $stroke[1] !== 0.0) === []);
    }

    /** A buttonhole: its middle between both sides is where it lies, and it begins with the first of its thread. */
    public function isHole(): bool
    {
        return $this->row->stitch->kind->generator === 'buttonhole';
    }

    public function isZigzag(): bool
    {
        return $this->row->stitch->kind->plainZigzag && ! $this->row->stitch->kind->dense;
    }

    /**
     * So far on both sides it is looked for that it does not meet the one beside it, mm.
     *
     * @param  list<self>  $all
     */
    public function reach(array $all): float
    {
        $reach = self::ASTRAY_MM + $this->row->stitch->widthMm / 2;
        foreach ($all as $other) {
            $apart = abs($other->at - $this->at);
            if ($other->isUpright() === $this->isUpright() && $apart > 1.0 && $other->from < $this->to && $other->to > $this->from) {
                // Between the outer sides of both.
                $reach = min($reach, $this->row->stitch->widthMm / 2 + self::HALF * ($apart - ($this->row->stitch->widthMm + $other->row->stitch->widthMm) / 2));
            }
        }

        return max(self::LEAST_MM, $reach);
    }
}
