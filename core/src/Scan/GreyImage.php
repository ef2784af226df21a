<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\ValueRefused;

/** A flat scan in shades of grey, one byte a pixel, row by row from the top left; 0 is black. */
final readonly class GreyImage
{
    /** An inch. */
    private const INCH_MM = 25.4;

    /**
     * @param  string  $pixels  width × height bytes
     * @param  float  $dpi  pixels an inch, more than 0
     *
     * @throws ValueRefused when bytes and size do not agree
     */
    public function __construct(public int $width, public int $height, public float $dpi, public string $pixels)
    {
        if ($width < 1 || $height < 1 || $dpi <= 0 || strlen($pixels) !== $width * $height) {
            throw new ValueRefused('A picture has as many bytes as pixels, and a resolution above 0.');
        }
    }

    public function mmPerPixel(): float
    {
        return self::INCH_MM / $this->dpi;
    }

    /** @return list<int> shades of one row, 0 to 255 */
    public function row(int $y): array
    {
        /** @var list<int> $shades */
        $shades = array_values((array) unpack('C*', substr($this->pixels, $y * $this->width, $this->width)));

        return $shades;
    }
}
