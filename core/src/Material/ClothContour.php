<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Near;

/** The upper edge of what is laid already: from which y on the cloth is free, step by step from left to right. Lengths in mm. */
final readonly class ClothContour
{
    /** @param  list<array{float, float, float}>  $steps  x, width and y of each */
    private function __construct(public array $steps) {}

    public static function flat(float $width): self
    {
        return new self([[0.0, $width, 0.0]]);
    }

    /** @return list<float> where each step begins */
    public function starts(): array
    {
        return array_column($this->steps, 0);
    }

    /** The y at which a piece so wide comes to rest from a step on; null where it does not fit beside it. */
    public function rests(int $from, float $needed, float $width): ?float
    {
        if ($this->steps[$from][0] + $needed > $width + Near::SPOT_MM) {
            return null;
        }
        $y = 0.0;
        $left = $needed;
        for ($i = $from; $left > Near::SPOT_MM && $i < count($this->steps); $i++) {
            $y = max($y, $this->steps[$i][2]);
            $left -= $this->steps[$i][1];
        }

        return $y;
    }

    /** The contour with a piece on it, from x on, so wide, up to y. */
    public function raised(float $x, float $wide, float $y): self
    {
        $new = [];
        $end = $x + $wide;
        $laid = false;
        foreach ($this->steps as [$from, $w, $h]) {
            $to = $from + $w;
            if ($to <= $x + Near::SPOT_MM || $from >= $end - Near::SPOT_MM) {
                if (! $laid && $from >= $end - Near::SPOT_MM) {
                    $new[] = [$x, $wide, $y];
                    $laid = true;
                }
                $new[] = [$from, $w, $h];

                continue;
            }
            if ($from < $x - Near::SPOT_MM) {
                $new[] = [$from, $x - $from, $h];
            }
            if (! $laid) {
                $new[] = [$x, $wide, $y];
                $laid = true;
            }
            if ($to > $end + Near::SPOT_MM) {
                $new[] = [$end, $to - $end, $h];
            }
        }
        $merged = [];
        foreach ($new as $piece) {
            $last = array_pop($merged);
            if ($last !== null && abs($last[2] - $piece[2]) < Near::SPOT_MM) {
                $merged[] = [$last[0], $last[1] + $piece[1], $last[2]];
            } else {
                $last === null || $merged[] = $last;
                $merged[] = $piece;
            }
        }

        return new self($merged);
    }
}
