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

    /** So many times as wide as high is long. */
    private const LONG = 2.6;

    /** Room for a tick or a cross beside a picture. */
    private const MARK = 16.0;

    public function __construct(private readonly PictureBook $book) {}

    public function draw(Data $d, Shown $of): Picture
    {
        $parts = $d->parts('of');
        count($parts) >= 2 && count($parts) <= 4 || throw InputError::at($d->path('of'), count($parts), 'From 2 to 4 pictures stand beside each other.');
        $pictures = array_map(fn (Data $part): Picture => $this->book->draw($part, $of), $parts);

        return $d->flag('compare') ? self::compared($pictures) : self::beside($pictures, $d->has('wrong') ? $d->whole('wrong') : 0, $d->flag('plain'));
    }

    /** @param  list<Picture>  $pictures */
    private static function beside(array $pictures, int $wrong, bool $plain): Picture
    {
        $pen = new Pen;
        $x = 0.0;
        foreach ($pictures as $i => $picture) {
            $wide = self::put($pen, $picture, $x, 0.0, self::HIGH * 1.8, self::HIGH)[0];
            $i + 1 === $wrong && $pen->cross($x + $wide / 2, self::HIGH / 2, self::HIGH * 0.3);
            if ($i + 1 < count($pictures) && $wrong === 0 && ! $plain) {
                $pen->arrow(5, $x + $wide + 2, self::HIGH / 2, $x + $wide + self::GAP - 1, self::HIGH / 2);
            }
            $x += $wide + self::GAP;
        }

        return $pen->picture();
    }

    /**
     * As it should be with a tick, and as it should not with a cross: under each other where they are long.
     *
     * @param  list<Picture>  $pictures
     */
    private static function compared(array $pictures): Picture
    {
        $pen = new Pen;
        $flat = array_filter($pictures, function (Picture $p): bool {
            $box = $p->box();

            return $box['width'] < $box['height'] * self::LONG;
        }) === [];
        $at = 0.0;
        foreach ($pictures as $i => $picture) {
            [$wide, $high] = $flat ? self::put($pen, $picture, self::MARK, $at, self::HIGH * 1.8, self::HIGH, false) : self::put($pen, $picture, $at, 0.0, self::HIGH * 1.4, self::HIGH);
            [$x, $y] = $flat ? [0.0, $at + $high / 2 - 5] : [$at, self::HIGH + 1];
            $i === 0 ? $pen->shape('lit', [[$x, $y + 5], [$x + 4, $y + 9], [$x + 11, $y]]) : $pen->cross($x + 5, $y + 5, 4);
            $at += ($flat ? $high : $wide) + self::GAP / 2;
        }

        return $pen->picture();
    }

    /** @return array{float, float} how wide and high it became */
    private static function put(Pen $pen, Picture $picture, float $x, float $y, float $most, float $high, bool $middle = true): array
    {
        $box = (new Picture($picture->shapes, window: $picture->window))->box();
        $scale = min($high / $box['height'], $most / $box['width']);
        [$width, $height] = [$box['width'] * $scale, $box['height'] * $scale];
        $numbers = array_values(array_filter($picture->labels, fn (Label $l): bool => $l->key === ''));
        $pen->add(new Picture($picture->shapes, $numbers), $scale, $x - $box['left'] * $scale, $y + ($middle ? ($high - $height) / 2 : 0.0) - $box['top'] * $scale);

        return [$width, $height];
    }
}
