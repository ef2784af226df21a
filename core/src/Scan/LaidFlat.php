<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A picture of a table as if one looked straight down on it: its shades at places in millimetres from an upper left corner. */
interface LaidFlat
{
    /**
     * Along a straight line.
     *
     * @param  float  $dx  from one place to the next, mm
     * @return list<array{float, float, float}|null> the shade at each of so many places, three channels; null beside the picture
     */
    public function line(float $x, float $y, float $dx, float $dy, int $places): array;

    /** @return array{float, float} where a place lies in the picture, pixels */
    public function pixel(float $x, float $y): array;

    /** Of a pixel there, mm, the way it is coarsest. */
    public function mm(float $x, float $y): float;

    /** Places are looked at so far apart, mm: about a pixel. */
    public function step(): float;

    public function widthMm(): float;

    public function heightMm(): float;

    /** The whole of it, its longer side that many pixels. */
    public function small(int $longest): Raster;

    /** Why nothing was found on it, by what is known of the picture itself. */
    public function because(CannotRead $why): CannotRead;

    /** Standard uncertainty of its scale, of a millimetre a millimetre. */
    public function scaleU(): float;

    /** Standard uncertainty of a place by what the picture was laid flat with, mm. */
    public function placeU(): float;
}
