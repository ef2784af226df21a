<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\TensionPicture;

/** Both threads cut along the row: where they lock between the faces, for so many notches above or below the machine's mark. */
final class TensionSection implements Drawer
{
    private const STITCHES = 5;

    public function draw(Data $d, Shown $of): Picture
    {
        $notches = $d->numberWithin('notches', 0.0, -5, 5, 'notches');
        $tension = TensionPicture::of($notches, 0.0);
        $pen = new Pen;
        [$long, $high] = [14.0, 12.0];
        $pen->box('cloth-face', 0, 0, self::STITCHES * $long, $high / 2)->box('cloth-other', 0, $high / 2, self::STITCHES * $long, $high);
        // The lock in the cloth; outside it where one thread is pulled through.
        $lock = $high * (1 - $tension->lock);
        $top = $under = [];
        for ($i = 0; $i <= self::STITCHES; $i++) {
            $x = $i * $long;
            $i === 0 ? $top[] = [0.0, -1.4] : array_push($top, [$x - 1.2, -1.4], [$x, $lock + 0.8], [$x + 1.2, -1.4]);
            $i === 0 ? $under[] = [0.0, $high + 1.4] : array_push($under, [$x - 1.2, $high + 1.4], [$x, $lock - 0.8], [$x + 1.2, $high + 1.4]);
        }
        array_pop($top);
        array_pop($under);
        $pen->shape('thread', $top)->shape('thread-under', $under)->label('top-thread', 2.0, -4.0, 'start')->label('bobbin-thread', 2.0, $high + 8.0, 'start');

        return $pen->picture();
    }
}
