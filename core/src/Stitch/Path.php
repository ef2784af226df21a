<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use InvalidArgumentException;

/** A row's line on the cloth: straight pieces between corners, in mm from the piece's top left corner. */
final readonly class Path
{
    /** @param  non-empty-list<array{float, float}>  $corners [x, y] in mm */
    private function __construct(public array $corners) {}

    /**
     * @param  list<array{float, float}>  $corners
     *
     * @throws InvalidArgumentException below two corners
     */
    public static function through(array $corners): self
    {
        if (count($corners) < 2) {
            throw new InvalidArgumentException('A row needs at least a start and an end.');
        }

        return new self($corners);
    }

    /**
     * A square spiral on a square piece, sewn inwards: the first three sides run
     * at the margin, every later turn lies one lane further in.
     *
     * @param  float  $sideMm  side of the square piece
     * @param  float  $marginMm  first sides to cloth edge
     * @param  float  $laneMm  from one turn to the next
     * @param  int  $corners  corners turned, 1 or more
     *
     * @throws InvalidArgumentException when the spiral does not fit the piece
     */
    public static function squareSpiral(float $sideMm, float $marginMm, float $laneMm, int $corners): self
    {
        $x = $y = $marginMm;
        $left = $marginMm;
        $right = $bottom = $sideMm - $marginMm;
        $top = $marginMm + $laneMm;
        $points = [[$x, $y]];
        for ($side = 0; $side <= $corners; $side++) {
            if ($right < $left || $bottom < $top - $laneMm) {
                throw new InvalidArgumentException('The spiral does not fit: fewer corners, a narrower lane or a larger piece.');
            }
            switch ($side % 4) {
                case 0: $x = $right;
                    $right -= $laneMm;
                    break;
                case 1: $y = $bottom;
                    $bottom -= $laneMm;
                    break;
                case 2: $x = $left;
                    $left += $laneMm;
                    break;
                default: $y = $top;
                    $top += $laneMm;
            }
            $points[] = [$x, $y];
        }

        return new self($points);
    }

    public function lengthMm(): float
    {
        $sum = 0.0;
        for ($i = 1; $i < count($this->corners); $i++) {
            $sum += self::distance($this->corners[$i - 1], $this->corners[$i]);
        }

        return $sum;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    public static function distance(array $a, array $b): float
    {
        return hypot($b[0] - $a[0], $b[1] - $a[1]);
    }
}
