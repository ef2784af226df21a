<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/**
 * A row's line on the cloth in mm from the piece's top left corner: straight
 * pieces between corners that the needle turns on, or a smooth curve whose
 * points only describe it.
 */
final readonly class Path
{
    /** Curves are described by points no further apart than this. */
    private const CURVE_STEP_MM = 0.5;

    /** @param  non-empty-list<array{float, float}>  $corners [x, y] in mm */
    private function __construct(public array $corners, public bool $smooth = false) {}

    /**
     * @param  list<array{float, float}>  $corners
     *
     * @throws ValueRefused below two corners
     */
    public static function through(array $corners): self
    {
        if (count($corners) < 2) {
            throw new ValueRefused('A row needs at least a start and an end.');
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
     * @throws ValueRefused when the spiral does not fit the piece
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
                throw new ValueRefused('The spiral does not fit: fewer corners, a narrower lane or a larger piece.');
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

    /**
     * Part of a circle, clockwise on the cloth where $toDegrees is larger. 0° points right, 90° down.
     *
     * @throws ValueRefused for a radius of 0 or less, or no turn at all
     */
    public static function arc(float $x, float $y, float $radiusMm, float $fromDegrees, float $toDegrees): self
    {
        $sweep = deg2rad($toDegrees - $fromDegrees);
        if ($radiusMm <= 0 || abs($sweep) < Near::SPOT_MM || abs($sweep) > 2 * M_PI + Near::DUST) {
            throw new ValueRefused('An arc has a radius above 0 and turns by up to a full circle.');
        }

        return self::curve(fn (float $t): array => [$x + $radiusMm * cos(deg2rad($fromDegrees) + $sweep * $t), $y + $radiusMm * sin(deg2rad($fromDegrees) + $sweep * $t)], $radiusMm * abs($sweep));
    }

    /**
     * An S from one point to another, swinging to both sides of the straight line.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  float  $swingMm  furthest from the straight line, on each side
     */
    public static function sCurve(array $from, array $to, float $swingMm): self
    {
        $length = self::distance($from, $to);
        if ($length <= 0) {
            throw new ValueRefused('An S goes from one point to another.');
        }
        [$dx, $dy] = [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length];

        return self::curve(function (float $t) use ($from, $length, $dx, $dy, $swingMm): array {
            $across = $swingMm * sin(2 * M_PI * $t);

            return [$from[0] + $dx * $length * $t - $dy * $across, $from[1] + $dy * $length * $t + $dx * $across];
        }, $length + 4 * abs($swingMm));
    }

    /**
     * A round spiral from the outside in.
     *
     * @throws ValueRefused when the turns do not fit
     */
    public static function roundSpiral(float $x, float $y, float $outerMm, float $laneMm, float $turns): self
    {
        if ($laneMm <= 0 || $turns <= 0 || $outerMm - $laneMm * $turns <= 0) {
            throw new ValueRefused('The spiral does not fit: fewer turns, a narrower lane or a larger radius.');
        }

        return self::curve(function (float $t) use ($x, $y, $outerMm, $laneMm, $turns): array {
            $r = $outerMm - $laneMm * $turns * $t;
            $angle = 2 * M_PI * $turns * $t;

            return [$x + $r * cos($angle), $y + $r * sin($angle)];
        }, 2 * M_PI * $outerMm * $turns);
    }

    /** Left and right changed on a piece of this width. */
    public function mirrored(float $widthMm): self
    {
        $corners = [];
        foreach ($this->corners as [$x, $y]) {
            $corners[] = [$widthMm - $x, $y];
        }

        return new self($corners, $this->smooth);
    }

    /**
     * The places so far along the line, and which way it runs there. Beyond an end it runs straight on.
     *
     * @param  list<float>  $alongMm
     * @return list<array{array{float, float}, array{float, float}}> point and unit direction
     */
    public function places(array $alongMm): array
    {
        $ends = [];
        $sum = 0.0;
        for ($i = 1; $i < count($this->corners); $i++) {
            $ends[] = $sum += self::distance($this->corners[$i - 1], $this->corners[$i]);
        }
        $places = [];
        foreach ($alongMm as $along) {
            // The piece that ends at or behind the place, found by halving.
            [$low, $high] = [0, count($ends) - 1];
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                $ends[$middle] < $along ? $low = $middle + 1 : $high = $middle;
            }
            [$a, $b] = [$this->corners[$low], $this->corners[$low + 1] ?? $this->corners[$low]];
            $length = max(Near::DUST, self::distance($a, $b));
            [$dx, $dy] = [($b[0] - $a[0]) / $length, ($b[1] - $a[1]) / $length];
            $into = $along - ($ends[$low] - $length);
            $places[] = [[$a[0] + $dx * $into, $a[1] + $dy * $into], [$dx, $dy]];
        }

        return $places;
    }

    /**
     * @param  callable(float): array{float, float}  $point  from 0 to 1
     * @param  float  $atMostMm  an upper bound of the length, to choose the points by
     */
    private static function curve(callable $point, float $atMostMm): self
    {
        $steps = max(8, (int) ceil($atMostMm / self::CURVE_STEP_MM));
        $points = [$point(0.0)];
        for ($i = 1; $i <= $steps; $i++) {
            $points[] = $point($i / $steps);
        }

        return new self($points, true);
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
