<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** Cloth cut across: as thick as it is, its right side the heavy line. */
final class ClothLayer
{
    /** Of its thickness, how far the right side's line lies in. */
    private const IN = 0.12;

    /**
     * @param  list<array{float, float}>  $middle  its middle from end to end, mm
     * @param  float  $thick  mm
     * @param  int  $right  which side is the right one: 1 to the left as one goes along (y runs down), -1 to the right; 0 has none
     */
    public static function draw(Pen $pen, array $middle, float $thick, int $right, string $role = 'cloth-face'): void
    {
        $one = self::beside($middle, $thick / 2);
        $other = self::beside($middle, -$thick / 2);
        $pen->shape($role, [...$one, ...array_reverse($other)])->shape('thin', [...$one, ...array_reverse($other), $one[0]]);
        $right === 0 || $pen->shape('right-side', self::beside($middle, $right * $thick * (0.5 - self::IN)));
    }

    /**
     * A line beside another one.
     *
     * @param  list<array{float, float}>  $line
     * @param  float  $by  to its left as one goes along, y down
     * @return list<array{float, float}>
     */
    public static function beside(array $line, float $by): array
    {
        $beside = [];
        foreach ($line as $i => [$x, $y]) {
            [$ax, $ay] = $line[max(0, $i - 1)];
            [$bx, $by2] = $line[min(count($line) - 1, $i + 1)];
            $long = hypot($bx - $ax, $by2 - $ay) ?: 1.0;
            $beside[] = [$x + ($by2 - $ay) / $long * $by, $y - ($bx - $ax) / $long * $by];
        }

        return $beside;
    }

    /**
     * Half a turn from one level to another.
     *
     * @param  int  $way  1: the turn lies to the right
     * @return list<array{float, float}>
     */
    public static function turn(float $x, float $y1, float $y2, int $way, int $steps = 8): array
    {
        $points = [];
        $r = abs($y2 - $y1) / 2;
        for ($i = 1; $i < $steps; $i++) {
            $a = M_PI * $i / $steps;
            $points[] = [$x + $way * $r * sin($a), $y1 + ($y2 - $y1) * (1 - cos($a)) / 2];
        }

        return $points;
    }
}
