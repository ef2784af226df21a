<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/** How many: strokes in fives as on paper, or so many of so many boxes ticked. */
final class TallyPicture implements Drawer
{
    private const FIVE = 5;

    private const STEP = 4.0;

    private const HIGH = 9.0;

    public function draw(Data $d, Shown $of): Picture
    {
        $done = (int) $d->numberWithin('done', null, 0, 60, 'strokes');
        $all = (int) $d->numberWithin('of', 0.0, 0, 20, 'boxes');
        $pen = new Pen;
        for ($i = 0; $i < $all; $i++) {
            $x = $i * (self::HIGH + self::STEP);
            $pen->box('paper', $x, 0, $x + self::HIGH, self::HIGH)->box('ink', $x, 0, $x + self::HIGH, self::HIGH);
            $i < $done && $pen->shape('thread', [[$x + 2, self::HIGH * 0.55], [$x + 4, self::HIGH * 0.8], [$x + self::HIGH - 1, 1.5]]);
        }
        // Strokes where nothing says of how many; the fifth goes across the four.
        for ($i = 0; $all === 0 && $i < $done; $i++) {
            $group = intdiv($i, self::FIVE) * (self::FIVE + 1) * self::STEP;
            $i % self::FIVE === self::FIVE - 1
                ? $pen->line('thread', $group - 1, self::HIGH * 0.8, $group + self::STEP * (self::FIVE - 2) + 1, self::HIGH * 0.2)
                : $pen->line('thread', $group + ($i % self::FIVE) * self::STEP, 0, $group + ($i % self::FIVE) * self::STEP, self::HIGH);
        }
        $all === 0 && $pen->line('thin', 0, self::HIGH + 2, 30, self::HIGH + 2);

        return $pen->picture();
    }
}
