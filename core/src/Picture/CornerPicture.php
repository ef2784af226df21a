<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/** A corner that was pivoted, to scale: turned on its mark, past it, short of it, or rounded off. */
final class CornerPicture implements Drawer
{
    private const LEG_MM = 24.0;

    private const EDGE_MM = 8.0;

    private const ROUND = 8;

    public function draw(Data $d, Shown $of): Picture
    {
        $past = $d->numberWithin('past_mm', 0.0, -20, 20);
        $blunt = $d->numberWithin('blunt_mm', 0.0, 0, 20);
        $length = $d->numberWithin('length_mm', 2.5, 0.5, 5);
        $pen = new Pen;
        $edge = self::EDGE_MM + max(0.0, $past);
        $pen->box('cloth-face', -self::LEG_MM, -$edge, $edge, self::LEG_MM)
            ->line('chalk', -self::LEG_MM, 0, 0, 0)->line('chalk', 0, 0, 0, self::LEG_MM)->oval('mark', 0, 0, 0.6);
        $corner = [[-self::LEG_MM + 1, 0.0], [$past - $blunt, 0.0]];
        for ($i = 1; $blunt > 0 && $i < self::ROUND; $i++) {
            $turn = M_PI / 2 * $i / self::ROUND;
            $corner[] = [$past - $blunt + $blunt * sin($turn), $blunt - $blunt * cos($turn)];
        }
        array_push($corner, [$past, $blunt], [$past, self::LEG_MM - 1]);
        foreach (self::stitches($corner, $length) as [$a, $b]) {
            $pen->line('thread', ...$a, ...$b);
        }
        foreach ([$corner[1], $corner[count($corner) - 2]] as $at) {
            $pen->oval('dark', $at[0], $at[1], 0.45);
        }
        if (abs($past) > 0.2) {
            $pen->line('measure', min(0.0, $past), -3.0, max(0.0, $past), -3.0)->line('measure', 0, -4.0, 0, -2.0)->line('measure', $past, -4.0, $past, -2.0);
        }

        return $pen->picture(true);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $way
     * @return list<array{array{float, float}, array{float, float}}> each with a little cloth between it and the next
     */
    private static function stitches(array $way, float $length): array
    {
        $stitches = [];
        foreach (array_slice($way, 1) as $i => [$x, $y]) {
            [$px, $py] = $way[$i];
            $long = hypot($x - $px, $y - $py);
            $many = max(1, (int) round($long / $length));
            for ($n = 0; $n < $many && $long > 0; $n++) {
                $at = fn (float $t): array => [$px + ($x - $px) * $t, $py + ($y - $py) * $t];
                $stitches[] = [$at(($n + 0.08) / $many), $at(($n + 0.92) / $many)];
            }
        }

        return $stitches;
    }
}
