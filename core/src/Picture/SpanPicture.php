<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Lengths laid end to end on the table, to scale, with marks where each should end. */
final class SpanPicture implements Drawer
{
    private const MOST_PARTS = 8;

    /** Of the whole length, how high it is drawn. */
    private const HIGH = 0.16;

    public function draw(Data $d, Shown $of): Picture
    {
        $parts = $d->numbers('mm');
        $many = count($parts);
        $many >= 1 && $many <= self::MOST_PARTS || throw InputError::at($d->path('mm'), $many, sprintf('From 1 to %d lengths are laid.', self::MOST_PARTS));
        $aim = $d->numberWithin('aim_mm', null, 0, 1000);
        foreach ($parts as $i => $mm) {
            is_finite($mm) && $mm >= 0 && $mm <= 1000 || throw InputError::at($d->path("mm[$i]"), $mm, 'It must be from 0 to 1000 mm.');
        }
        $high = max(4.0, max(array_sum($parts), $aim * $many) * self::HIGH);
        $pen = new Pen;
        $x = 0.0;
        foreach ($parts as $mm) {
            $pen->box('cloth-face', $x, 0, $x + $mm, $high)->line('heavy', $x, 0, $x, $high)->line('heavy', $x + $mm, 0, $x + $mm, $high);
            $x += $mm;
        }
        for ($i = 0; $i <= $many; $i++) {
            $pen->line('chalk', $aim * $i, -$high * 0.4, $aim * $i, $high * 1.4);
        }

        return $pen->picture(true);
    }
}
