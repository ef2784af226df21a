<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A picture that lies flat: its shades at places given in millimetres from its upper left corner. */
final readonly class Sampled
{
    /** @param  float  $mm  of a pixel */
    public function __construct(private Raster $picture, public float $mm) {}

    /** Closer than a pixel there is nothing new to see; and finer than this nothing is looked for, mm. */
    public function step(): float
    {
        return max(0.06, $this->mm);
    }

    public function widthMm(): float
    {
        return $this->picture->width * $this->mm;
    }

    public function heightMm(): float
    {
        return $this->picture->height * $this->mm;
    }

    /** @return array{float, float, float}|null between the four pixels about it; null beside the picture */
    public function at(float $x, float $y): ?array
    {
        $px = $x / $this->mm - 0.5;
        $py = $y / $this->mm - 0.5;
        $i = (int) floor($px);
        $j = (int) floor($py);
        if ($i < 0 || $j < 0 || $i >= $this->picture->width - 1 || $j >= $this->picture->height - 1) {
            return null;
        }
        [$u, $v] = [$px - $i, $py - $j];
        $b = $this->picture->bytes;
        $p = $this->picture->from($j) + 3 * $i;
        $q = $this->picture->from($j + 1) + 3 * $i;
        [$e, $f, $g, $h] = [(1 - $u) * (1 - $v), $u * (1 - $v), (1 - $u) * $v, $u * $v];

        return [
            $e * ord($b[$p]) + $f * ord($b[$p + 3]) + $g * ord($b[$q]) + $h * ord($b[$q + 3]),
            $e * ord($b[$p + 1]) + $f * ord($b[$p + 4]) + $g * ord($b[$q + 1]) + $h * ord($b[$q + 4]),
            $e * ord($b[$p + 2]) + $f * ord($b[$p + 5]) + $g * ord($b[$q + 2]) + $h * ord($b[$q + 5]),
        ];
    }
}
