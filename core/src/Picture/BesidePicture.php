<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Pictures beside each other, each as high as the others: this and then that, or right and wrong. Their words would be too small to read; numbers stay. */
final class BesidePicture implements Drawer
{
    private const HIGH = 66.0;

    private const GAP = 12.0;

    public function __construct(private readonly PictureBook $book) {}

    public function draw(Data $d, Shown $of): Picture
    {
        $parts = $d->parts('of');
        count($parts) >= 2 && count($parts) <= 4 || throw InputError::at($d->path('of'), count($parts), 'From 2 to 4 pictures stand beside each other.');
        $wrong = $d->has('wrong') ? $d->whole('wrong') : 0;
        $pen = new Pen;
        $x = 0.0;
        foreach ($parts as $i => $part) {
            $picture = $this->book->draw($part, $of);
            $box = (new Picture($picture->shapes, window: $picture->window))->box();
            $scale = self::HIGH / $box['height'];
            $wide = $box['width'] * $scale;
            if ($wide > self::HIGH * 1.8) {
                $scale *= self::HIGH * 1.8 / $wide;
                $wide = self::HIGH * 1.8;
            }
            $pen->add(new Picture($picture->shapes, array_values(array_filter($picture->labels, fn (Label $l): bool => $l->key === ''))), $scale, $x - $box['left'] * $scale, (self::HIGH - $box['height'] * $scale) / 2 - $box['top'] * $scale);
            $i + 1 === $wrong && $pen->cross($x + $wide / 2, self::HIGH / 2, self::HIGH * 0.3);
            if ($i + 1 < count($parts) && $wrong === 0 && ! $d->flag('plain')) {
                $pen->arrow(5, $x + $wide + 2, self::HIGH / 2, $x + $wide + self::GAP - 1, self::HIGH / 2);
            }
            $x += $wide + self::GAP;
        }

        return $pen->picture();
    }
}
