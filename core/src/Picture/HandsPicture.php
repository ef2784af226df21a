<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/**
 * Where hands lie beside the needle, seen from above, where fingers never are,
 * and where the eye looks: the guide, not the needle. Mirrored for a left hand
 * only where the machine allows it, which is where nothing of the machine stands
 * in the picture but needle and foot.
 */
final class HandsPicture implements Drawer
{
    /** Fingers stay out of this round the needle, mm; common practice, no source. */
    public const ZONE_MM = 25.0;

    public function draw(Data $d, Shown $of): Picture
    {
        $scene = LineArt::standard()->of('hands', $d->text('scene'), $d->path('scene'));
        $pen = new Pen;
        $pen->box('body', -140, -70, 120, 140)->add($scene);
        $this->needle($pen, ! $d->flag('bare'));
        if ($d->flag('eye')) {
            $pen->oval('paper', 16, 106, 16, 9)->oval('ink', 16, 106, 16, 9)->oval('dark', 16, 104, 5)->arrow(9, 16, 96, 16, 40)->label('look-here', 16, 134);
        }
        $d->flag('zone') && $pen->label('never-here', 0, -self::ZONE_MM - 14);
        $picture = $pen->picture(true, [-140.0, -70.0, 120.0, 140.0]);

        return $of->leftHanded ? $picture->mirrored() : $picture;
    }

    private function needle(Pen $pen, bool $foot): void
    {
        $pen->oval('zone', 0, 0, self::ZONE_MM);
        $foot && $pen->shape('metal', [[-7, -14], [7, -14], [7, 8], [3, 11], [3, 2], [-3, 2], [-3, 11], [-7, 8]]);
        $pen->oval('dark', 0, 0, 2.0);
    }
}
