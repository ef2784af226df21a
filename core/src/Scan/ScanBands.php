<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A scan in bands so tall that weave and noise go under. */
final readonly class ScanBands
{
    /** Height of a band that is read at once, mm. */
    private const BAND_MM = 1.5;

    /**
     * @param  float  $mm  of a pixel
     * @param  int  $tall  pixels of a band
     * @param  list<list<float>>  $shades  means of each band, across
     */
    private function __construct(public GreyImage $scan, public float $mm, public int $tall, public array $shades) {}

    public static function of(GreyImage $scan): self
    {
        $mm = $scan->mmPerPixel();
        $tall = max(2, (int) round(self::BAND_MM / $mm));
        $shades = [];
        for ($b = 0; $b < intdiv($scan->height, $tall); $b++) {
            $sum = array_fill(0, $scan->width, 0);
            for ($y = $b * $tall; $y < ($b + 1) * $tall; $y++) {
                foreach ($scan->row($y) as $x => $shade) {
                    $sum[$x] += $shade;
                }
            }
            $shades[] = array_map(fn (int $s): float => $s / $tall, array_values($sum));
        }

        return new self($scan, $mm, $tall, $shades);
    }
}
